package app.tychon.server.runs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.awaitility.Awaitility.await;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.patch;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.core.RandomPlans;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Output;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Steadiness;
import app.tychon.server.RunningTest;
import app.tychon.server.plan.PlanStore;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.util.Optional;
import java.util.UUID;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;

class RunTest extends RunningTest {
    @Autowired
    private PlanStore plans;

    @Autowired
    private RunArchive archive;

    @Test
    void aRunIsRecordedAndReadInBothDirections() throws Exception {
        String project = bringIn("garden-room");
        String run = begin(project, "{\"iterations\":5000,\"seed\":4711}");
        JsonNode view = ended(run);
        assertThat(view.get("state").asText()).isEqualTo("done");
        assertThat(view.get("seed").asLong()).isEqualTo(4711);
        JsonNode odds = read("/api/runs/" + run + "/dates?levels=10,50,80");
        JsonNode p80 = odds.at("/levels/2");
        assertThat(p80.get("value")).isEqualTo(view.get("levelFinish"));
        assertThat(p80.get("low").asText()).isLessThanOrEqualTo(p80.get("value").asText());
        JsonNode back = read(
                "/api/runs/" + run + "/dates/at-date?date=" + p80.get("value").asText());
        // Dates are told to the minute, so the way back is exact to the share of futures within one.
        assertThat(back.get("chance").asDouble()).isCloseTo(0.8, within(0.002));
        JsonNode cost = read("/api/runs/" + run + "/amounts/at-chance?chance=37.5");
        JsonNode costBack = read("/api/runs/" + run + "/amounts/at-amount?amount=" + cost.get("value"));
        assertThat(costBack.get("chance").asDouble()).isCloseTo(0.375, within(1e-9));
        int counted = 0;
        for (JsonNode count : odds.get("counts")) {
            counted += count.asInt();
        }
        assertThat(counted).isEqualTo(5000);
        JsonNode rows = read("/api/runs/" + run + "/drivers/criticality").get("rows");
        assertThat(rows).hasSize(6);
        assertThat(rows.at("/0/share").asDouble()).as("all paths start there").isOne();
    }

    @Test
    void theSameSeedGivesTheSameNumbersAndAnotherDoesNot() throws Exception {
        String project = bringIn("garden-room");
        String one = begin(project, "{\"iterations\":2000,\"seed\":7}");
        String same = begin(project, "{\"iterations\":2000,\"seed\":7}");
        String other = begin(project, "{\"iterations\":2000}");
        ended(one);
        ended(same);
        ended(other);
        String levels = "/dates?levels=5,50,95";
        assertThat(read("/api/runs/" + same + levels)).isEqualTo(read("/api/runs/" + one + levels));
        assertThat(read("/api/runs/" + other + levels)).isNotEqualTo(read("/api/runs/" + one + levels));
    }

    @Test
    void aRunKeepsTheInputsItWasMadeFrom() throws Exception {
        String project = bringIn("garden-room");
        String run = begin(project, "{\"iterations\":1000,\"seed\":1}");
        JsonNode before = ended(run);
        http.perform(patch("/api/projects/" + project + "/rows")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("[{\"id\":\"G10\",\"certain\":true}]"))
                .andExpect(status().isOk());
        assertThat(read("/api/projects/" + project).get("revision").asLong())
                .isGreaterThan(before.get("revision").asLong());
        assertThat(archive.open(UUID.fromString(run)).plan().activities().get(0).estimate())
                .isPresent();
    }

    @Test
    void nonsenseSettingsAreRefusedByField() throws Exception {
        String project = bringIn("garden-room");
        start(project, "{\"iterations\":5,\"seed\":-1}")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.problems.length()").value(2));
        start(project, "{\"iterations\":\"many\"}")
                .andExpect(status().isBadRequest())
                .andExpect(jsonPath("$.problems[0].pointer").value("/iterations"));
        start(project, "{\"iterations\":100000000}")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail", containsString("1,000,000")));
        start(UUID.randomUUID().toString(), "{\"iterations\":1000}").andExpect(status().isNotFound());
    }

    @Test
    void aStoppedRunKeepsWhatItHas() throws Exception {
        UUID project = plans.insert(RandomPlans.oneCalendar(3, 400));
        String run = begin(project.toString(), "{\"iterations\":1000000,\"seed\":1}");
        await().atMost(PATIENCE)
                .until(() -> read("/api/runs/" + run).at("/progress/done").asInt() > 0);
        http.perform(post("/api/runs/" + run + "/stop")).andExpect(status().isOk());
        JsonNode view = ended(run);
        assertThat(view.get("state").asText()).isEqualTo("stopped");
        assertThat(view.get("done").asInt()).isBetween(100, 999_900);
        read("/api/runs/" + run + "/dates?levels=80");
    }

    @Test
    void aRunThatTheServerLeftBehindIsSaidToBeInterrupted() throws Exception {
        UUID project = plans.insert(RandomPlans.oneCalendar(3, 10));
        RunSettings settings = new RunSettings(1000, 1, Sampling.LATIN, 1);
        RunEntity left = archive.begin(project, plans.find(project), settings, new RunWords(null, null, null));
        archive.markInterrupted();
        JsonNode view = read("/api/runs/" + left.id());
        assertThat(view.get("state").asText()).isEqualTo("interrupted");
        http.perform(get("/api/runs/" + left.id() + "/dates"))
                .andExpect(status().isConflict())
                .andExpect(jsonPath("$.detail").value("This run has no results."));
    }

    @Test
    void aRunThatWasCutShortGoesOnToTheNumbersItWouldHaveHad() throws Exception {
        UUID project = plans.insert(RandomPlans.oneCalendar(3, 10));
        RunSettings settings = new RunSettings(3000, 5, Sampling.LATIN, 1);
        RunEntity left = archive.begin(project, plans.find(project), settings, new RunWords(null, null, null));
        archive.markInterrupted();
        http.perform(post("/api/runs/" + left.id() + "/resume")).andExpect(status().isOk());
        JsonNode view = ended(left.id().toString());
        assertThat(view.get("state").asText()).isEqualTo("done");
        assertThat(view.get("number").asInt()).isEqualTo(1);
        assertThat(view.get("done").asInt()).isEqualTo(3000);
        assertThat(view.path("failure").isMissingNode()).isTrue();
        String whole = begin(project.toString(), "{\"iterations\":3000,\"seed\":5}");
        ended(whole);
        assertThat(read("/api/runs/" + left.id() + "/dates?levels=5,50,95"))
                .isEqualTo(read("/api/runs/" + whole + "/dates?levels=5,50,95"));
        http.perform(post("/api/runs/" + whole + "/resume"))
                .andExpect(status().isConflict())
                .andExpect(jsonPath("$.detail", containsString("stopped or interrupted")));
    }

    @Test
    void aStoppedRunGoesOnAndItsResultsAreReplaced() throws Exception {
        UUID project = plans.insert(RandomPlans.oneCalendar(3, 400));
        String run = begin(project.toString(), "{\"iterations\":30000,\"seed\":1}");
        await().atMost(PATIENCE)
                .until(() -> read("/api/runs/" + run).at("/progress/done").asInt() > 0);
        http.perform(post("/api/runs/" + run + "/stop")).andExpect(status().isOk());
        int before = ended(run).get("done").asInt();
        assertThat(before).isLessThan(30000);
        read("/api/runs/" + run + "/dates?levels=80");
        http.perform(post("/api/runs/" + run + "/resume")).andExpect(status().isOk());
        JsonNode view = ended(run);
        assertThat(view.get("done").asInt()).isEqualTo(30000);
        assertThat(read("/api/runs/" + run + "/futures/30000").get("of").asInt())
                .isEqualTo(30000);
    }

    @Test
    void whileItRunsItTellsWhatItHasSeenUnlessThatIsSwitchedOff() throws Exception {
        UUID project = plans.insert(RandomPlans.oneCalendar(3, 200));
        String run = begin(project.toString(), "{\"iterations\":1000000,\"seed\":1}");
        JsonNode sight = await().atMost(PATIENCE)
                .until(
                        () -> read("/api/runs/" + run).at("/progress/sight"),
                        seen -> seen.path("outlook").path("iterations").asInt() > 0);
        assertThat(sight.at("/outlook/finish/percentiles")).hasSize(99);
        assertThat(sight.get("unsteadiness").asDouble()).isBetween(0.0, 1.0);
        http.perform(post("/api/runs/" + run + "/stop")).andExpect(status().isOk());
        ended(run);
        String dark = begin(project.toString(), "{\"iterations\":1000000,\"seed\":1,\"drawing\":false}");
        await().atMost(PATIENCE)
                .until(() -> read("/api/runs/" + dark).at("/progress/done").asInt() > 5000);
        assertThat(read("/api/runs/" + dark).at("/progress/sight").isMissingNode())
                .isTrue();
        http.perform(post("/api/runs/" + dark + "/stop")).andExpect(status().isOk());
        ended(dark);
    }

    @Test
    void samplingAndThreadsAreTheAnalystsChoice() throws Exception {
        String project = bringIn("garden-room");
        JsonNode plain = ended(begin(project, "{\"iterations\":1000,\"seed\":1,\"sampling\":\"plain\",\"threads\":1}"));
        assertThat(plain.get("sampling").asText()).isEqualTo("plain");
        start(project, "{\"iterations\":1000,\"sampling\":\"sobol\",\"threads\":0}")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.problems.length()").value(2));
    }

    @Test
    void chancesOutsideNoughtToAHundredAreRefused() throws Exception {
        String run = begin(bringIn("garden-room"), "{\"iterations\":100,\"seed\":1}");
        ended(run);
        for (String address :
                new String[] {"/dates/at-chance?chance=101", "/amounts/at-chance?chance=-1", "/dates?levels=50,300"}) {
            http.perform(get("/api/runs/" + run + address))
                    .andExpect(status().isUnprocessableEntity())
                    .andExpect(jsonPath("$.detail").value(containsString("a chance lies between 0 and 100 %")));
        }
    }

    @Test
    void resultsAreKeptToTheLastBit() {
        RunResult result = Simulation.run(
                CompiledPlan.of(RandomPlans.risky(8, 40)),
                new RunSettings(730, 99, Sampling.PLAIN, 2, Optional.of(new Steadiness(0.01, 0.8))),
                RunMonitor.NONE);
        assertThat(result.risks()).isNotEmpty();
        assertThat(ResultCodec.decode(ResultCodec.encode(result)))
                .usingRecursiveComparison()
                .ignoringFields("outputs")
                .isEqualTo(result);
    }

    @Test
    void valuesOfBranchesAndActivitiesAreKeptToTheMinuteAndTheirMoneyToTheLastBit() {
        RunResult result = Simulation.run(
                CompiledPlan.of(RandomPlans.risky(8, 40)),
                new RunSettings(730, 99, Sampling.PLAIN, 2),
                RunMonitor.NONE);
        assertThat(result.outputs()).isNotEmpty();
        for (Output output : result.outputs()) {
            Output kept = OutputCodec.decode(output.id(), OutputCodec.encode(output));
            assertThat(kept.kind()).isEqualTo(output.kind());
            assertThat(kept.cost()).isEqualTo(output.cost());
            for (int i = 0; i < 730; i++) {
                assertThat(kept.start()[i]).isCloseTo(output.start()[i], within(0.5));
                assertThat(kept.finish()[i]).isCloseTo(output.finish()[i], within(0.5));
                assertThat(kept.duration()[i]).isCloseTo(output.duration()[i], within(0.5));
            }
        }
    }

    @Test
    void resultsOfTheFirstFormatAreStillRead() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (DataOutputStream out = new DataOutputStream(new GZIPOutputStream(bytes))) {
            out.writeInt(1);
            out.writeInt(2);
            out.writeLong(7);
            out.writeUTF("LATIN");
            out.writeInt(1);
            out.writeInt(2);
            for (double number : new double[] {500, 480, 1000}) {
                out.writeDouble(number);
            }
            for (double[] pair : new double[][] {{510, 520}, {490, 500}, {1, 2}, {3, 4}}) {
                out.writeInt(2);
                out.writeDouble(pair[0]);
                out.writeDouble(pair[1]);
            }
            out.writeInt(1);
            out.writeUTF("A");
            for (int i = 0; i < 6; i++) {
                out.writeDouble(i + 0.5);
            }
            for (int i = 0; i < 3; i++) {
                out.writeInt(1);
                out.writeDouble(10 * i);
            }
        }
        RunResult result = ResultCodec.decode(bytes.toByteArray());
        assertThat(result.finish()).containsExactly(510, 520);
        assertThat(result.cost().totals()).containsExactly(1004, 1006);
        assertThat(result.activities().get(0).criticality()).isEqualTo(0.5);
        assertThat(result.activities().get(0).meanCost()).isEqualTo(5.5);
        assertThat(result.risks()).isEmpty();
    }
}
