package app.tychon.server.scenarios;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.patch;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.core.model.Activity;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Scenario;
import app.tychon.core.model.WorkDuration;
import app.tychon.server.edits.EditedPlanTest;
import com.fasterxml.jackson.databind.JsonNode;
import java.time.Duration;
import java.time.Instant;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.Test;

/** Scenarios of the demo, over HTTP. */
class ScenarioTest extends EditedPlanTest {
    private JsonNode edit(String edits) throws Exception {
        return accepted(patch(at("/scenarios")), edits);
    }

    private Scenario scenario(String id) throws Exception {
        return plan().scenarios().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static JsonNode row(JsonNode view, String id) {
        for (JsonNode row : view.get("rows")) {
            if (row.get("id").asText().equals(id)) {
                return row;
            }
        }
        throw new AssertionError("no scenario " + id);
    }

    /** The scenarios once all of them are worked out in full. */
    private JsonNode refined(String query) throws Exception {
        Instant end = Instant.now().plus(Duration.ofSeconds(60));
        while (Instant.now().isBefore(end)) {
            JsonNode view = read(at("/scenarios" + query));
            boolean all = true;
            for (JsonNode row : view.get("rows")) {
                all &= row.get("putAway").asBoolean() || row.at("/odds/refined").asBoolean();
            }
            if (all) {
                return view;
            }
            LockSupport.parkNanos(50_000_000);
        }
        throw new AssertionError("not worked out within a minute");
    }

    @Test
    void theDemoTellsItsStory() throws Exception {
        JsonNode view = refined("?watch=V3");
        assertThat(view.get("rows").size()).isEqualTo(6);
        JsonNode hearing = row(view, "V1");
        JsonNode test = row(view, "V2");
        JsonNode both = row(view, "V3");
        assertThat(hearing.at("/gap/days").asDouble()).isNegative();
        assertThat(test.at("/gap/days").asDouble()).isNegative();
        assertThat(both.at("/gap/days").asDouble())
                .isLessThan(Math.min(
                        hearing.at("/gap/days").asDouble(), test.at("/gap/days").asDouble()));
        assertThat(both.at("/gap/now").asDouble()).isEqualTo(14_000 + 38_000);
        assertThat(both.at("/gap/cost").asDouble())
                .as("they pay for themselves")
                .isNegative();
        assertThat(both.at("/odds/jointChance").asDouble())
                .isGreaterThan(row(view, "").at("/odds/jointChance").asDouble());
        JsonNode crews = row(view, "V4");
        assertThat(crews.get("misfits").size()).isZero();
        assertThat(crews.at("/edits/0/fields/0/name").asText()).isEqualTo("duration");
        assertThat(crews.at("/edits/0/fields/0/after").asText()).isEqualTo("26d");
        assertThat(crews.at("/edits/0/name").asText()).isEqualTo("Cut and grade the access road");
        assertThat(crews.at("/edits/1/name").asText()).isEqualTo("Second crew and its machines");
        assertThat(row(view, "V5").at("/gap/days").asDouble()).isLessThan(-20);
    }

    @Test
    void anotherBaseTurnsTheGapRound() throws Exception {
        JsonNode fromPlan = refined("");
        JsonNode fromBoth = read(at("/scenarios?base=V3"));
        assertThat(row(fromBoth, "V3").has("gap")).isFalse();
        assertThat(row(fromBoth, "").at("/gap/days").asDouble())
                .isCloseTo(-row(fromPlan, "V3").at("/gap/days").asDouble(), within(1e-9));
        assertThat(row(read(at("/scenarios?level=50")), "V3").at("/odds/finishLevel"))
                .isEqualTo(row(fromPlan, "V3").at("/odds/finishHalf"));
        http.perform(get(at("/scenarios?level=100"))).andExpect(status().isUnprocessableEntity());
    }

    @Test
    void aScenarioIsMadeSwitchedCopiedPutAwayAndTakenBack() throws Exception {
        Plan before = plan();
        edit("[{\"id\":\"\",\"add\":true,\"name\":\"No storms\",\"risks\":{\"R03\":\"off\"}}]");
        edit("[{\"id\":\"V6\",\"risks\":{\"R12\":\"off\"},\"categories\":{\"Supply\":\"off\"},\"note\":\"As asked\"}]");
        assertThat(scenario("V6").risks()).hasSize(2);
        edit("[{\"id\":\"V6\",\"risks\":{\"R03\":null},\"estimates\":false,\"targets\":{\"cost\":5000000}}]");
        assertThat(scenario("V6").risks()).containsOnlyKeys("R12");
        assertThat(scenario("V6").cost()).contains(5_000_000.0);
        edit("[{\"id\":\"\",\"add\":true,\"from\":\"V6\"}]");
        assertThat(scenario("V7").name()).isEqualTo("No storms 1");
        assertThat(scenario("V7").categories()).isEqualTo(scenario("V6").categories());
        edit("[{\"id\":\"V7\",\"putAway\":true}]");
        assertThat(row(refined(""), "V7").has("odds")).isFalse();
        accepted(post(at("/scenarios/remove")), "{\"scenarios\":[\"V6\",\"V7\"]}");
        assertThat(plan()).isEqualTo(before);
        accepted(post(at("/undo")), "");
        assertThat(scenario("V7").putAway()).isTrue();
    }

    @Test
    void whatCannotBeIsRefusedInItsField() throws Exception {
        refuse(patch(at("/scenarios")), "[{\"id\":\"V9\",\"estimates\":false}]", "/0/id", "there is no scenario");
        refuse(
                patch(at("/scenarios")),
                "[{\"id\":\"V1\",\"risks\":{\"R01\":\"maybe\"}}]",
                "/0/risks/R01",
                "must be one of off, now, response, unanswered");
        refuse(patch(at("/scenarios")), "[{\"id\":\"V1\",\"name\":\" \"}]", "/0/name", "the name is empty");
        refuse(
                patch(at("/scenarios")),
                "[{\"id\":\"V1\",\"name\":\"Hearing and test\"}]",
                "/0/name",
                "there is another scenario called");
        refuse(
                patch(at("/scenarios")),
                "[{\"id\":\"\",\"add\":true,\"from\":\"V9\"}]",
                "/0/from",
                "there is no scenario");
    }

    @Test
    void scenariosChangeNothingOfThePlanAndItsOddsStay() throws Exception {
        JsonNode seen = read(at(""));
        edit("[{\"id\":\"V1\",\"risks\":{\"R03\":\"off\"}}]");
        JsonNode after = read(at(""));
        assertThat(after.get("revision").asLong())
                .isGreaterThan(seen.get("revision").asLong());
        assertThat(after.get("inputsRevision")).isEqualTo(seen.get("inputsRevision"));
    }

    @Test
    void aScenarioIsWorkedInLikeAPlanAndThePlanStaysAsItIs() throws Exception {
        Plan before = plan();
        JsonNode place = accepted(post(at("/scenarios/V1/enter")), "");
        assertThat(place.at("/scenario/name").asText()).isEqualTo("Early hearing");
        assertThat(place.at("/scenario/of").asText()).isEqualTo(project);
        String inside = "/api/projects/" + place.get("id").asText();
        accepted(patch(inside + "/rows"), "[{\"id\":\"S40\",\"duration\":\"44d\"}]");
        accepted(patch(inside + "/risks"), "[{\"id\":\"R06\",\"owner\":\"Ann\"}]");
        // The plan has kept the edits with the scenario, and nothing else.
        assertThat(plan().withScenarios(List.of())).isEqualTo(before.withScenarios(List.of()));
        assertThat(scenario("V1").edits()).hasSize(2);
        assertThat(scenario("V1").edits().get(0).after().orElseThrow()).contains("\"duration\":\"44d\"");
        assertThat(scenario("V1").risks()).isEqualTo(before.scenarios().get(0).risks());
        // Taking back inside takes back there.
        accepted(post(inside + "/undo"), "");
        assertThat(scenario("V1").edits()).hasSize(1);
        // It is no project of the list.
        for (JsonNode listed : read("/api/projects")) {
            assertThat(listed.at("/project/id").asText())
                    .isNotEqualTo(place.get("id").asText());
        }
    }

    @Test
    void twoWhoStepInAtOnceAreInTheSamePlace() throws Exception {
        ExecutorService two = Executors.newFixedThreadPool(2);
        try {
            List<Callable<String>> both = Collections.nCopies(2, () -> accepted(post(at("/scenarios/V2/enter")), "")
                    .get("id")
                    .asText());
            Set<String> places = new HashSet<>();
            for (Future<String> place : two.invokeAll(both)) {
                places.add(place.get());
            }
            assertThat(places).hasSize(1);
        } finally {
            two.shutdown();
        }
    }

    @Test
    void itFollowsThePlanAndSaysWhatNoLongerFits() throws Exception {
        JsonNode place = accepted(post(at("/scenarios/V4/enter")), "");
        String inside = "/api/projects/" + place.get("id").asText();
        accepted(patch(at("/rows")), "[{\"id\":\"M60\",\"duration\":\"50d\"}]");
        accepted(post(at("/scenarios/V4/enter")), "");
        assertThat(duration(inside, "M60")).isEqualTo("50d");
        assertThat(duration(inside, "S40")).isEqualTo("26d");
        accepted(patch(at("/rows")), "[{\"id\":\"S40\",\"duration\":\"42d\"}]");
        JsonNode row = row(refined(""), "V4");
        assertThat(row.at("/misfits/0/why").asText())
                .isEqualTo("the plan has meanwhile changed duration from 40d to 42d, too; the scenario keeps its own");
        edit("[{\"id\":\"V4\",\"forget\":[{\"section\":\"activities\",\"key\":\"S40\"}]}]");
        accepted(post(at("/scenarios/V4/enter")), "");
        assertThat(duration(inside, "S40")).isEqualTo("42d");
    }

    private String duration(String inside, String id) throws Exception {
        for (JsonNode row : read(inside + "/plan").get("activities")) {
            if (row.get("id").asText().equals(id)) {
                return row.get("duration").asText();
            }
        }
        throw new AssertionError("no activity " + id);
    }

    @Test
    void oneIsTakenOverInOneEditAndTakenBack() throws Exception {
        Plan before = plan();
        edit("[{\"id\":\"V4\",\"risks\":{\"R02\":\"response\",\"R03\":\"off\"},\"correlation\":false}]");
        JsonNode look = read(at("/scenarios/V4/takeover"));
        assertThat(look.at("/left/0").asText()).isEqualTo("that estimates do not move together");
        assertThat(look.get("changes").findValuesAsText("key")).containsExactlyInAnyOrder("S40", "K13", "R02", "R03");
        Plan with = plan();
        accepted(post(at("/scenarios/V4/takeover")), "");
        Plan taken = plan();
        assertThat(taken.risks().get(1).isAnswered()).isTrue();
        assertThat(taken.risks().get(2).state()).isEqualTo(Risk.State.CLOSED);
        assertThat(taken.correlations()).isEqualTo(before.correlations());
        assertThat(taken.activities())
                .filteredOn(a -> a.id().equals("S40"))
                .extracting(Activity::duration)
                .containsExactly(WorkDuration.parse("26d").orElseThrow());
        assertThat(scenario("V4").edits()).isEmpty();
        assertThat(scenario("V4").correlation()).isFalse();
        assertThat(row(refined(""), "V4").at("/gap/now").asDouble()).isZero();
        accepted(post(at("/undo")), "");
        assertThat(plan()).isEqualTo(with);
    }

    @Test
    void curvesRailsAndDriversOfSeveralAreTold() throws Exception {
        JsonNode view = refined("");
        JsonNode curves = read(at("/scenarios/dates?scenarios=,V3"));
        assertThat(curves.at("/curves/0/id").asText()).isEmpty();
        assertThat(curves.at("/curves/1/values").size()).isEqualTo(201);
        assertThat(curves.at("/curves/1/values/160").asText())
                .startsWith(row(view, "V3").at("/odds/finishLevel").asText().substring(0, 16));
        JsonNode money = read(at("/scenarios/amounts?scenarios=V3&of=M60"));
        assertThat(money.at("/curves/0/values/100").asDouble()).isPositive();
        JsonNode rails = read(at("/scenarios/rails?scenarios=,V4&levels=80"));
        assertThat(finish(rails, 1, "S40")).isLessThan(finish(rails, 0, "S40"));
        JsonNode drivers = read(at("/scenarios/drivers?other=V5"));
        boolean gone = false;
        for (JsonNode row : drivers.get("rows")) {
            gone |= row.get("mark").asText().equals("threat") && row.has("one") && !row.has("other");
        }
        assertThat(gone)
                .as("a threat that swings the plan and not the scenario without risks")
                .isTrue();
        http.perform(get(at("/scenarios/dates?scenarios=V9"))).andExpect(status().isNotFound());
        http.perform(get(at("/scenarios/amounts?scenarios=V3&what=weight")))
                .andExpect(status().isUnprocessableEntity());
    }

    private static long finish(JsonNode rails, int scenario, String id) {
        for (JsonNode row : rails.get("scenarios").get(scenario).get("rows")) {
            if (row.get("id").asText().equals(id)) {
                return row.at("/finish/0").asLong();
            }
        }
        throw new AssertionError("no row " + id);
    }
}
