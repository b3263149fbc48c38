package app.tychon.server.edits;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.patch;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.core.model.Activity;
import app.tychon.core.model.Link;
import app.tychon.core.model.Plan;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;

class EditsTest extends EditedPlanTest {
    @Test
    void everyKindOfEditCanBeTakenBackAndDoneAgain() throws Exception {
        Plan before = plan();
        accepted(patch(at("/rows")), "[{\"id\":\"S10\",\"duration\":\"15d\",\"notes\":\"Two crews\"}]");
        accepted(
                patch(at("/rows")),
                "[{\"id\":\"\",\"add\":true,\"after\":\"S10\",\"name\":\"Second survey\",\"duration\":\"3d\","
                        + "\"predecessors\":\"S10\"},{\"id\":\"\",\"add\":true,\"name\":\"Third\"}]");
        accepted(post(at("/rows/move")), "{\"rows\":[\"E20\",\"E30\"],\"into\":\"S\",\"after\":\"S20\"}");
        accepted(patch(at("/branches")), "[{\"id\":\"\",\"add\":true,\"after\":\"S\",\"name\":\"Road\"}]");
        accepted(post(at("/rows/remove")), "{\"rows\":[\"M\",\"S50\"]}");
        accepted(patch(at("/rows")), "[{\"id\":\"S10\",\"code\":\"S11\"}]");
        accepted(
                patch(at("/settings")),
                "{\"name\":\"Kestrel\",\"dataDate\":\"2027-03-10\",\"targetFinish\":null,\"targetCost\":5}");
        accepted(patch(at("/rows")), "[{\"id\":\"S11\",\"actualStart\":\"2027-03-01\",\"remaining\":\"4d\"}]");
        accepted(
                post(at("/check/accept")),
                "{\"check\":\"openFinish\",\"on\":[\"S20\",\"project\"],\"findings\":[\"a\",\"b\"],\"reason\":\"Known\"}");
        Plan after = plan();
        assertThat(after).isNotEqualTo(before);
        assertThat(after.activities())
                .extracting(a -> a.id())
                .contains("S11", "S15")
                .doesNotContain("M10", "S10");
        for (int i = 0; i < 9; i++) {
            accepted(post(at("/undo")), "");
        }
        assertThat(plan()).isEqualTo(before);
        send(post(at("/undo")), "").andExpect(status().isConflict());
        for (int i = 0; i < 9; i++) {
            accepted(post(at("/redo")), "");
        }
        assertThat(plan()).isEqualTo(after);
        accepted(post(at("/undo")), "");
        accepted(patch(at("/rows")), "[{\"id\":\"S20\",\"name\":\"Permit\"}]");
        send(post(at("/redo")), "")
                .andExpect(status().isConflict())
                .andExpect(jsonPath("$.detail").value("There is nothing to do again."));
    }

    @Test
    void everybodyTakesBackTheirOwn() throws Exception {
        accepted(patch(at("/rows")), "[{\"id\":\"S10\",\"duration\":\"15d\"}]");
        http.perform(patch(at("/rows"))
                        .contentType(MediaType.APPLICATION_JSON)
                        .header("Tychon-Person", "ben")
                        .content("[{\"id\":\"S20\",\"duration\":\"99d\"}]"))
                .andExpect(status().isOk());
        JsonNode result = accepted(post(at("/undo")), "");
        assertThat(result.at("/undoing/redo").asText()).isEqualTo("Duration of S10, Survey the ridge");
        assertThat(plan().activities()).anySatisfy(a -> assertThat(a.duration()).hasToString("99d"));
        assertThat(read(at("/edits")).get(0).get("label").asText()).startsWith("Taken back: Duration of S10");
    }

    @Test
    void whatSomebodyElseChangedSinceIsNotTakenBack() throws Exception {
        accepted(patch(at("/rows")), "[{\"id\":\"S10\",\"duration\":\"15d\"}]");
        http.perform(patch(at("/rows"))
                        .contentType(MediaType.APPLICATION_JSON)
                        .header("Tychon-Person", "ben")
                        .content("[{\"id\":\"S10\",\"duration\":\"16d\"}]"))
                .andExpect(status().isOk());
        send(post(at("/undo")), "")
                .andExpect(status().isConflict())
                .andExpect(jsonPath("$.detail").value(containsString("“S10” has been changed since")));
        assertThat(plan().activities()).anySatisfy(a -> assertThat(a.duration()).hasToString("16d"));
    }

    private void byBen(String edits) throws Exception {
        http.perform(patch(at("/rows"))
                        .contentType(MediaType.APPLICATION_JSON)
                        .header("Tychon-Person", "ben")
                        .content(edits))
                .andExpect(status().isOk());
    }

    @Test
    void anEditIsTakenBackThoughSomebodyChangedAnotherFieldOfTheRow() throws Exception {
        String before = activity("S10").duration().toString();
        accepted(patch(at("/rows")), "[{\"id\":\"S10\",\"duration\":\"15d\"}]");
        byBen("[{\"id\":\"S10\",\"name\":\"Survey\",\"notes\":\"Two crews\"}]");
        accepted(post(at("/undo")), "");
        assertThat(activity("S10").duration()).hasToString(before);
        assertThat(activity("S10").name()).isEqualTo("Survey");
        accepted(post(at("/redo")), "");
        assertThat(activity("S10").duration()).hasToString("15d");
        assertThat(activity("S10").notes()).isEqualTo("Two crews");
    }

    @Test
    void linksIntoOneActivityAreTakenBackOneByOne() throws Exception {
        String own = predecessorsOf("S40");
        accepted(patch(at("/rows")), "[{\"id\":\"S40\",\"predecessors\":\"" + own + ", S10\"}]");
        byBen("[{\"id\":\"S40\",\"predecessors\":\"" + own + ", S10, S10SS\"}]");
        accepted(post(at("/undo")), "");
        assertThat(plan().links().stream().filter(l -> l.to().equals("S40")).map(Link::from))
                .containsExactlyInAnyOrder("S10", "S20", "S30");
    }

    private String predecessorsOf(String id) throws Exception {
        return plan().links().stream()
                .filter(l -> l.to().equals(id))
                .map(l -> l.from() + l.type() + (l.lag().amount() == 0 ? "" : "+" + l.lag()))
                .collect(Collectors.joining(", "));
    }

    private Activity activity(String id) throws Exception {
        return plan().activities().stream()
                .filter(a -> a.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void anEditThatCannotBeTakenBackDoesNotStandInTheWayOfOlderOnes() throws Exception {
        accepted(patch(at("/rows")), "[{\"id\":\"S20\",\"name\":\"Permit\"}]");
        accepted(patch(at("/rows")), "[{\"id\":\"S10\",\"duration\":\"15d\"}]");
        byBen("[{\"id\":\"S10\",\"duration\":\"16d\"}]");
        send(post(at("/undo")), "").andExpect(status().isConflict());
        accepted(post(at("/undo")), "");
        assertThat(activity("S20").name()).isNotEqualTo("Permit");
        assertThat(activity("S10").duration()).hasToString("16d");
    }

    @Test
    void whatDoesNotFitIsToldByFieldBeforeTheDatabaseSeesIt() throws Exception {
        String long61 = "X".repeat(61);
        refuse(patch(at("/rows")), "[{\"id\":\"S10\",\"code\":\"" + long61 + "\"}]", "/0/code", "60 characters");
        refuse(patch(at("/rows")), "[{\"id\":\"S10\",\"name\":\"A\\ud800B\"}]", "/0/name", "U+D800");
        refuse(patch(at("/rows")), "[{\"id\":\"S10\",\"name\":\"A\\u0000B\"}]", "/0/name", "U+0000");
        refuse(
                patch(at("/rows")),
                "[{\"id\":\"S10\",\"notes\":\"" + "n".repeat(70_000) + "\"}]",
                "/0/notes",
                "65,000 characters");
        refuse(patch(at("/rows")), "[{\"id\":\"S10\",\"duration\":\"99999w\"}]", "/0/duration", "200 years");
        refuse(patch(at("/rows")), "[{\"id\":\"S10\",\"duration\":\"90000d\"}]", "/0/duration", "200 years");
        refuse(patch(at("/settings")), "{\"targetCost\":1e300}", "/targetCost", "beyond");
        accepted(patch(at("/rows")), "[{\"id\":\"S10\",\"notes\":\"" + "\u00fc".repeat(65_000) + "\"}]");
    }

    @Test
    void whatHangsOnARemovedRowGoesWithItAndIsTold() throws Exception {
        JsonNode result = accepted(post(at("/rows/remove")), "{\"rows\":[\"H10\"]}");
        assertThat(result.get("gone")).isNotEmpty();
        assertThat(result.get("gone").toString()).contains("cost line");
        assertThat(result.get("order").toString()).doesNotContain("\"H10\"");
    }

    @Test
    void badEditsAreToldByFieldAndNothingIsKept() throws Exception {
        Plan before = plan();
        refuse(patch(at("/rows")), "[{\"id\":\"S10\",\"calendar\":\"moon\"}]", "/0/calendar", "no calendar");
        refuse(patch(at("/rows")), "[{\"id\":\"S10\",\"code\":\"S20\"}]", "/0/code", "already");
        refuse(
                patch(at("/rows")),
                "[{\"id\":\"S10\",\"actualStart\":\"2027-03-01\"}]",
                "/0/actualStart",
                "no data date");
        refuse(
                patch(at("/rows")),
                "[{\"id\":\"S10\",\"constraint\":{\"type\":\"soon\",\"date\":\"2027-03-01\"}}]",
                "/0/constraint/type",
                "startNoEarlier");
        refuse(patch(at("/rows")), "[{\"id\":\"X\",\"add\":true,\"wbs\":\"Z\"}]", "/0/wbs", "no such branch");
        refuse(patch(at("/branches")), "[{\"id\":\"S\",\"name\":\" \"}]", "/0/name", "empty");
        refuse(post(at("/rows/move")), "{\"rows\":[\"S\"],\"into\":\"S\"}", "/into", "under itself");
        refuse(patch(at("/settings")), "{\"currency\":\"euro\"}", "/currency", "three capitals");
        refuse(patch(at("/settings")), "{\"colour\":\"red\"}", "/colour", "no such field");
        refuse(put(at("/calendars")), "{\"id\":\"c\",\"name\":\"C\",\"hoursPerDay\":8}", "/week", "missing");
        refuse(
                post(at("/check/accept")),
                "{\"check\":\"openFinish\",\"on\":[\"S20\"],\"reason\":\" \"}",
                "/reason",
                "say why");
        assertThat(plan()).isEqualTo(before);
        assertThat(read(at("/undoing")).has("undo")).isFalse();
    }

    @Test
    void findingsAreMendedAndAcceptedWithAReason() throws Exception {
        accepted(patch(at("/rows")), "[{\"id\":\"X1\",\"add\":true,\"wbs\":\"S\",\"name\":\"Loose\"}]");
        accepted(patch(at("/rows")), "[{\"id\":\"X2\",\"add\":true,\"wbs\":\"S\",\"predecessors\":\"X1\"}]");
        assertThat(finding("openFinish", "X2").get("fixable").asBoolean()).isTrue();
        accepted(post(at("/check/fix")), "{\"check\":\"openFinish\",\"on\":[\"X2\"]}");
        assertThat(finding("openFinish", "X2")).isNull();
        accepted(
                post(at("/check/accept")),
                "{\"check\":\"openStart\",\"on\":[\"X1\"],\"reason\":\"Begins when funds allow\"}");
        assertThat(finding("openStart", "X1").get("accepted").asText()).isEqualTo("Begins when funds allow");
        accepted(post(at("/check/accept")), "{\"check\":\"openStart\",\"on\":[\"X1\"]}");
        refuse(
                post(at("/check/accept")),
                "{\"check\":\"openFinish\",\"on\":[\"X1\"],\"reason\":\"Whatever\"}",
                "/on",
                "nothing of that kind");
        assertThat(finding("openStart", "X1").has("accepted")).isFalse();
    }

    private JsonNode finding(String check, String on) throws Exception {
        for (JsonNode finding : read(at("/check")).get("findings")) {
            if (finding.get("check").asText().equals(check)
                    && finding.get("on").asText().equals(on)) {
                return finding;
            }
        }
        return null;
    }

    @Test
    void theSheetOfAnActivityTellsWhatDrivesIt() throws Exception {
        JsonNode sheet = read(at("/activities/S40"));
        assertThat(sheet.at("/predecessors/0/id").asText()).isEqualTo("S20");
        assertThat(sheet.at("/predecessors/0/drives").asBoolean()).isTrue();
        assertThat(sheet.at("/predecessors/1/drives").asBoolean())
                .as("S30 has float")
                .isFalse();
        assertThat(sheet.get("successors")).isNotEmpty();
        http.perform(get(at("/activities/none"))).andExpect(status().isNotFound());
    }

    @Test
    void aCalendarIsLookedAtBeforeItIsKept() throws Exception {
        String closed = "{\"id\":\"std\",\"name\":\"Short week\",\"hoursPerDay\":8,"
                + "\"week\":{\"mon\":[[\"08:00\",\"12:00\"]]},\"exceptions\":[]}";
        JsonNode look = accepted(post(at("/calendars/look")), closed);
        String finish = read(at("/plan")).get("finish").asText();
        assertThat(look.get("finish").asText()).isGreaterThan(finish);
        assertThat(read(at("/plan")).get("finish").asText()).isEqualTo(finish);
        JsonNode kept = accepted(put(at("/calendars")), closed);
        assertThat(kept.get("finish")).isEqualTo(look.get("finish"));
        assertThat(kept.at("/parts/calendars")).isNotEmpty();
    }
}
