package app.tychon.server.drivers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.awaitility.Awaitility.await;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.patch;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.server.RunningTest;
import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;

/** What drives a date or a cost, over HTTP, of the demo and of plans at the edge. */
class DriversTest extends RunningTest {
    private String project;

    /** A run of the demo that all who only ask about it share. */
    private static String shared;

    private String demo() throws Exception {
        if (shared == null) {
            shared = run(bringIn("kestrel-ridge"), 2000);
        }
        return shared;
    }

    private String run(String of, int iterations) throws Exception {
        String run = begin(of, "{\"iterations\":" + iterations + ",\"seed\":4711}");
        ended(run);
        return "/api/runs/" + run;
    }

    private static Stream<JsonNode> each(JsonNode array) {
        return StreamSupport.stream(array.spliterator(), false);
    }

    private static double sum(JsonNode array, String field) {
        return each(array).mapToDouble(one -> one.path(field).asDouble()).sum();
    }

    @Test
    void everyInputIsMeasuredAndTheSharesAddUpWithTheRest() throws Exception {
        String run = demo();
        JsonNode view = read(run + "/drivers");
        assertThat(sum(view.get("rows"), "contribution")
                        + view.get("unexplained").asDouble())
                .isCloseTo(1, within(1e-9));
        JsonNode permit = row(view, "estimate:S20:0");
        assertThat(permit.at("/input/mark").asText()).isEqualTo("estimate");
        assertThat(permit.get("low").asDouble()).isNegative();
        assertThat(permit.get("high").asDouble()).isPositive();
        assertThat(permit.get("best").asInt())
                .isLessThanOrEqualTo(permit.get("worst").asInt());
        assertThat(row(view, "risk:R01:0").at("/input/mark").asText()).isEqualTo("threat");
        assertThat(row(read(run + "/drivers?apart=true"), "occurrence:R01:0")
                        .get("unit")
                        .asText())
                .isEqualTo("strike");
        assertThat(read(run + "/drivers?groups=true").toString()).contains("group:");
        assertThat(row(read(run + "/drivers?what=cost"), "risk:R01:1")
                        .get("unit")
                        .asText())
                .isEqualTo("money");
    }

    private static JsonNode row(JsonNode view, String key) {
        return each(view.get("rows"))
                .filter(one -> one.at("/input/key").asText().equals(key))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void gatheredInputsAddUpToAllWhateverTheyAreGatheredBy() throws Exception {
        String run = demo();
        JsonNode all = read(run + "/drivers");
        for (String by : List.of("branch", "category", "owner", "resource", "kind")) {
            JsonNode view = read(run + "/drivers?measure=contribution&by=" + by);
            assertThat(sum(view.get("groups"), "value"))
                    .as("by %s", by)
                    .isCloseTo(sum(all.get("rows"), "contribution"), within(1e-9));
            assertThat(each(view.get("groups")))
                    .allMatch(group -> !group.get("name").asText().isEmpty());
        }
        http.perform(get(run + "/drivers?by=colour"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail", containsString("not by \"colour\"")));
        http.perform(get(run + "/drivers?measure=rank"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail", containsString("does not add up")));
    }

    @Test
    void removalComesBitByBitStrongestFirstAndIsTheStepItWouldBe() throws Exception {
        String run = demo();
        JsonNode moves = await().atMost(PATIENCE).until(() -> read(run + "/drivers/moves"), view -> view.get("state")
                .asText()
                .equals("done"));
        assertThat(moves.get("rows")).hasSize(moves.get("total").asInt()).hasSize(MoveJobs.MOST);
        double before = Double.POSITIVE_INFINITY;
        for (JsonNode row : moves.get("rows")) {
            assertThat(Math.abs(row.get("change").asDouble())).isLessThanOrEqualTo(before);
            before = Math.abs(row.get("change").asDouble());
        }
        JsonNode milestone = await().atMost(PATIENCE)
                .until(
                        () -> read(run + "/drivers/moves?change=day&of=I50"),
                        view -> view.get("state").asText().equals("done"));
        assertThat(each(milestone.get("rows")))
                .allMatch(row -> row.get("change").asDouble() <= 1e-6, "a day less never makes it later");
        http.perform(get(run + "/drivers/moves?change=wish"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail", containsString("not \"wish\"")));
    }

    @Test
    void whatIsTriedCanBeStoppedAndWhatIsDoneStays() throws Exception {
        String run = demo();
        String address = run + "/drivers/moves?change=tenth&of=I70";
        read(address);
        JsonNode stopped = json.readTree(http.perform(delete(address))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
        assertThat(stopped.get("state").asText()).isIn("stopped", "done");
        int done = read(address).get("done").asInt();
        assertThat(read(address).get("rows")).hasSize(done);
        assertThat(read(address).get("state").asText())
                .isEqualTo(stopped.get("state").asText());
    }

    @Test
    void aScatterHasFourSharesAndTellsWhatFollowsFromWhat() throws Exception {
        String run = demo();
        JsonNode view = read(run + "/drivers/scatter?x=estimate:S20:0&y=finish:project&atX=90");
        double whole = 0;
        for (String field : List.of("both", "onlyX", "onlyY", "neither")) {
            whole += view.get(field).asDouble();
        }
        assertThat(whole).isCloseTo(1, within(1e-9));
        assertThat(view.at("/x/line").asDouble()).isEqualTo(90);
        assertThat(view.get("beyond").asDouble())
                .isGreaterThan(view.get("within").asDouble());
        assertThat(view.get("shaped").asBoolean()).isTrue();
        assertThat(sumOf(view.at("/x/counts"))).isEqualTo(2000);
        assertThat(view.get("points")).hasSize(2000);
        JsonNode both = read(run + "/drivers/scatter?x=duration:S20&y=cost:project");
        assertThat(both.at("/y/unit").asText()).isEqualTo("money");
        http.perform(get(run + "/drivers/scatter?x=estimate:NONE:0&y=finish:project"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail", containsString("no uncertain input of this plan")));
        http.perform(get(run + "/drivers/scatter?x=nonsense&y=finish:project"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail", containsString("names no input")));
    }

    private static int sumOf(JsonNode counts) {
        return each(counts).mapToInt(JsonNode::asInt).sum();
    }

    @Test
    void lateFuturesAreThoseBeyondWhatIsTyped() throws Exception {
        String run = demo();
        JsonNode usual = read(run + "/drivers/late");
        assertThat(usual.at("/beyond/date").asText()).as("the target").startsWith("2028-10-02");
        JsonNode late = read(run + "/drivers/late?date=2028-11-30T23:59:00");
        assertThat(late.get("late").asInt())
                .isLessThan(usual.get("late").asInt())
                .isPositive();
        JsonNode crack = row(late, "risk:R09:0");
        assertThat(crack.get("late").asDouble())
                .as("the blank cracks")
                .isGreaterThan(crack.get("others").asDouble());
        assertThat(read(run + "/drivers/late?what=cost&amount=5200000")
                        .get("late")
                        .asInt())
                .isBetween(1, 1999);
        JsonNode none = read(run + "/drivers/late?date=2040-01-01T00:00:00");
        assertThat(none.get("late").asInt()).isZero();
        assertThat(none.get("rows")).isEmpty();
        http.perform(get(run + "/drivers/late?what=cost&date=2028-11-30T23:59:00"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail", containsString("a number is needed")));
    }

    @Test
    void pathsAreCountedTowardsWhateverIsAskedFor() throws Exception {
        String run = demo();
        JsonNode paths = read(run + "/drivers/paths");
        assertThat(sum(paths.get("paths"), "share") + paths.get("others").asDouble())
                .isCloseTo(1, within(1e-9));
        JsonNode second = paths.at("/paths/1");
        assertThat(second.get("partsAt").asText()).isNotEmpty();
        JsonNode future = read(run + "/futures/" + second.get("example").asInt());
        assertThat(each(future.get("path")).map(JsonNode::asText))
                .containsExactlyElementsOf(each(second.get("steps"))
                        .map(step -> step.get("id").asText())
                        .toList());
        JsonNode shared = read(run + "/drivers/paths/3");
        assertThat(shared.get("late").asDouble() / shared.get("total").asDouble())
                .isCloseTo(paths.at("/paths/2/share").asDouble(), within(1e-9));
        JsonNode branch = read(run + "/drivers/paths?of=M");
        JsonNode last = branch.at("/paths/0/steps");
        assertThat(last.get(last.size() - 1).get("id").asText())
                .isEqualTo(branch.get("towards").asText())
                .startsWith("M");
        http.perform(get(run + "/drivers/paths/999"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail", containsString("not 999")));
    }

    @Test
    void staircasesAddUpAndSoDoTheirSteps() throws Exception {
        String run = demo();
        JsonNode finish = read(run + "/drivers/staircase");
        int asItIs = finish.get("asItIs").asInt();
        String p80 = read(run + "/dates?levels=80").at("/levels/0/value").asText();
        assertThat(finish.at("/steps/" + (asItIs - 1) + "/value/date").asText()).isEqualTo(p80);
        JsonNode inside = read(run + "/drivers/staircase/threats");
        assertThat(sum(inside.get("parts"), "change") + inside.get("overlap").asDouble())
                .isCloseTo(inside.get("change").asDouble(), within(1e-9));
        JsonNode cost = read(run + "/drivers/staircase?what=cost");
        double whole = sum(cost.get("steps"), "change")
                + cost.at("/steps/0/value/amount").asDouble();
        assertThat(whole)
                .isCloseTo(
                        read(run + "/amounts?levels=80").at("/levels/0/value").asDouble(), within(1e-6));
        for (String step : List.of("estimateSpread", "timeDriven", "risk")) {
            JsonNode opened = read(run + "/drivers/staircase/" + step + "?what=cost");
            assertThat(opened.get("parts").size()).isPositive();
            assertThat(sum(opened.get("parts"), "change")
                            + opened.get("overlap").asDouble())
                    .isCloseTo(opened.get("change").asDouble(), within(1e-6));
        }
        http.perform(get(run + "/drivers/staircase/luck"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail", containsString("no step \"luck\"")));
    }

    /** Work round the clock that ends in a weekend of the project's calendar, in which nothing is worked. */
    @Test
    void datesOfDriversAreThoseOfOddsAlsoInAWeekend() throws Exception {
        String plan =
                """
                {"format":"tychon-project","version":1,
                 "project":{"id":"w","name":"Round the clock","currency":"EUR","start":"2027-03-01T08:00","calendar":"std"},
                 "calendars":[{"id":"std","name":"Week","hoursPerDay":8,"week":{"mon":[["08:00","17:00"]],
                   "tue":[["08:00","17:00"]],"wed":[["08:00","17:00"]],"thu":[["08:00","17:00"]],"fri":[["08:00","17:00"]]}}],
                 "wbs":[{"id":"W","parent":null,"code":"1","name":"Work"}],
                 "activities":[{"id":"A","wbs":"W","name":"Cure","kind":"task","duration":"5ed","calendar":"std",
                   "estimate":{"shape":"uniform","low":4,"high":6.5,"basis":"days"}}]}
                """;
        String run = run(bringIn(plan.getBytes(StandardCharsets.UTF_8)), 500);
        for (String level : List.of("20", "50", "63", "80", "99")) {
            String odds =
                    read(run + "/dates?levels=" + level).at("/levels/0/value").asText();
            JsonNode staircase = read(run + "/drivers/staircase?level=" + level);
            int asItIs = staircase.get("asItIs").asInt();
            assertThat(staircase.at("/steps/" + (asItIs - 1) + "/value/date").asText())
                    .as("P%s", level)
                    .isEqualTo(odds);
        }
        JsonNode view = read(run + "/drivers");
        assertThat(view.at("/plan/date").asText()).isEqualTo("2027-03-06T08:00:00");
        assertThat(view.at("/mean/date").asText())
                .isEqualTo(read(run + "/dates").at("/mean").asText());
    }

    @Test
    void whatMovedBetweenTwoRunsIsToldByKindOfChange() throws Exception {
        project = bringIn("kestrel-ridge");
        String before = run(project, 2000);
        http.perform(patch("/api/projects/" + project + "/rows")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("[{\"id\":\"I40\",\"duration\":\"40d\"}]"))
                .andExpect(status().isOk());
        String after = run(project, 2000);
        JsonNode view = read(after + "/drivers/changes?from=" + before.substring("/api/runs/".length()));
        assertThat(view.at("/steps/0/finish").asText())
                .isEqualTo(
                        read(before + "/dates?levels=80").at("/levels/0/value").asText());
        JsonNode last = view.at("/steps/" + (view.get("steps").size() - 1));
        assertThat(last.get("finish").asText())
                .isEqualTo(
                        read(after + "/dates?levels=80").at("/levels/0/value").asText());
        double logic = each(view.get("steps"))
                .filter(step -> step.get("kind").asText().equals("logic"))
                .mapToDouble(step -> step.get("days").asDouble())
                .sum();
        assertThat(logic).isPositive();
    }

    @Test
    void criticalityFloatAndTimeToSpareAreToldOfEveryActivity() throws Exception {
        String run = demo();
        JsonNode view = read(run + "/drivers/criticality?near=10");
        assertThat(view.get("rows")).hasSize(64);
        assertThat(each(view.get("rows")))
                .allMatch(row -> !row.has("near") || row.get("near").asDouble() <= 1)
                .anyMatch(row ->
                        row.get("planned").asBoolean() && row.get("share").asDouble() > 0.9);
        assertThat(read(run + "/drivers/criticality?of=M60").toString()).contains("\"towards\":\"M60\"");
        JsonNode spare = read(run + "/drivers/spare?level=10");
        assertThat(each(spare.get("rows"))).anyMatch(row -> row.get("giveBack").asDouble() > 0);
        http.perform(get(run + "/drivers/criticality?near=-1")).andExpect(status().isUnprocessableEntity());
        http.perform(get(run + "/drivers/spare?level=100")).andExpect(status().isUnprocessableEntity());
        JsonNode inside = read(run + "/drivers/inside/S20").get("time");
        assertThat(inside.get("own").asDouble()
                        + sum(inside.get("risks"), "value")
                        + inside.get("waiting").asDouble()
                        + inside.get("overlap").asDouble())
                .isCloseTo(inside.get("total").asDouble(), within(1e-6));
    }

    @Test
    void aSmallPlanIsAnsweredToo() throws Exception {
        project = bringIn("garden-room");
        String run = run(project, 100);
        for (String address :
                List.of("/drivers", "/drivers/paths", "/drivers/staircase", "/drivers/criticality", "/drivers/spare")) {
            read(run + address);
        }
        JsonNode still = read(run + "/drivers/scatter?x=duration:project&y=finish:project");
        assertThat(still.get("spearman").asDouble()).isCloseTo(1, within(1e-9));
    }

    @Test
    void aTableOnScreenBecomesAFile() throws Exception {
        String table = "{\"title\":\"What moves it\",\"columns\":[\"Input\",\"Days\"],"
                + "\"rows\":[[\"=Permit\",12.5],[\"Mirror\",null]]}";
        String csv = http.perform(post("/api/tables/csv")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content(table))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8);
        assertThat(csv).contains("'=Permit,12.5\r\n").contains("Mirror,\r\n");
        byte[] xlsx = http.perform(post("/api/tables/xlsx")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content(table))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        assertThat(new String(xlsx, 0, 2, StandardCharsets.US_ASCII)).isEqualTo("PK");
        http.perform(post("/api/tables/csv")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("{\"title\":\"T\",\"columns\":[\"A\"],\"rows\":[[1,2]]}"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail", containsString("row 1 has 2 cells for 1 columns")));
    }
}
