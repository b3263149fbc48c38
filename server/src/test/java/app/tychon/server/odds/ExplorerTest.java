package app.tychon.server.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.awaitility.Awaitility.await;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.patch;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.server.RunningTest;
import com.fasterxml.jackson.databind.JsonNode;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.ResultActions;

/** Odds of anything in the plan: the project, branches, milestones, activities. */
class ExplorerTest extends RunningTest {
    private String demoRun() throws Exception {
        String run = begin(bringIn("kestrel-ridge"), "{\"iterations\":2000,\"seed\":4711}");
        ended(run);
        return "/api/runs/" + run;
    }

    @Test
    void startFinishDurationAndCostAreReadOfBranchesMilestonesAndActivities() throws Exception {
        String run = demoRun();
        for (String of : List.of("S", "I50", "S20")) {
            for (String what : List.of("start", "finish")) {
                JsonNode odds = read(run + "/dates?what=" + what + "&of=" + of + "&levels=10,50,90");
                assertThat(odds.at("/levels/0/value").asText())
                        .isLessThanOrEqualTo(odds.at("/levels/1/value").asText());
                assertThat(odds.at("/levels/1/value").asText())
                        .isLessThanOrEqualTo(odds.at("/levels/2/value").asText());
                int counted = 0;
                for (JsonNode count : odds.get("counts")) {
                    counted += count.asInt();
                }
                assertThat(counted).isEqualTo(2000);
            }
        }
        JsonNode permit = read(run + "/amounts?what=duration&of=S20&levels=50");
        assertThat(permit.at("/plan/value").asDouble()).as("days as planned").isEqualTo(80);
        assertThat(permit.at("/mean").asDouble()).isBetween(80.0, 120.0);
    }

    @Test
    void theProjectsOwnIsTheDefaultAndItsLastMilestoneFinishesWithIt() throws Exception {
        String run = demoRun();
        JsonNode project = read(run + "/dates?levels=20,80");
        JsonNode last = read(run + "/dates?of=I99&levels=20,80");
        for (String field : List.of("value", "low", "high")) {
            assertThat(last.at("/levels/1/" + field)).isEqualTo(project.at("/levels/1/" + field));
        }
        assertThat(last.get("plan").get("value")).isEqualTo(project.get("plan").get("value"));
    }

    @Test
    void anActivityThatWasNotKeptIsSimulatedForItAndAgreesWithEveryFuture() throws Exception {
        String run = demoRun();
        List<String> finishes = new ArrayList<>();
        String[] rows = http.perform(get(run + "/iterations.csv?of=E70"))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString()
                .split("\r\n");
        assertThat(rows[0]).isEqualTo("iteration,start,finish,durationMinutes,cost");
        for (int i = 1; i < rows.length; i++) {
            finishes.add(rows[i].split(",")[2]);
        }
        assertThat(finishes).hasSize(2000);
        for (int number : new int[] {1, 17, 2000}) {
            for (JsonNode row : read(run + "/futures/" + number).get("rows")) {
                if (row.get("id").asText().equals("E70")) {
                    assertThat(LocalDateTime.parse(row.get("finish").asText()))
                            .isEqualTo(LocalDateTime.parse(finishes.get(number - 1)));
                }
            }
        }
    }

    @Test
    void theLatestDateAnActivityMayHaveIsItsTarget() throws Exception {
        String project = bringIn("kestrel-ridge");
        http.perform(patch("/api/projects/" + project + "/rows")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("[{\"id\":\"E70\",\"watch\":true,"
                                + "\"constraint\":{\"type\":\"finishNoLater\",\"date\":\"2028-03-31\"}}]"))
                .andExpect(status().isOk());
        String run = begin(project, "{\"iterations\":2000,\"seed\":4711}");
        ended(run);
        JsonNode odds = read("/api/runs/" + run + "/dates?of=E70&levels=50,80");
        assertThat(odds.at("/target/value").asText()).startsWith("2028-03-31");
        assertThat(odds.at("/target/chance").asDouble()).isBetween(0.5, 0.8);
        assertThat(read("/api/runs/" + run + "/dates?of=E70&what=start").has("target"))
                .isFalse();
        assertThat(read("/api/projects/" + project + "/plan").toString()).contains("\"watch\":true");
    }

    @Test
    void differencesFromThePlanAreToldInCalendarAndInWorkingDays() throws Exception {
        JsonNode p80 = read(demoRun() + "/dates?levels=80").at("/levels/0");
        double calendar = p80.get("fromPlan").asDouble();
        double worked = p80.get("workFromPlan").asDouble();
        assertThat(worked).isBetween(calendar * 0.5, calendar * 5 / 7 + 2);
    }

    @Test
    void theHistogramHasAsManyBarsAsAreAskedForAtMost() throws Exception {
        String run = demoRun();
        for (int bins : new int[] {5, 20, 100}) {
            assertThat(read(run + "/dates?bins=" + bins).get("counts")).hasSizeBetween(2, bins);
            assertThat(read(run + "/amounts?bins=" + bins).get("counts")).hasSize(bins);
        }
    }

    @Test
    void whatIsNotThereIsRefusedWithTheReason() throws Exception {
        String run = demoRun();
        refused(run + "/dates?of=NONE", 422, "\"NONE\"");
        refused(run + "/dates?what=middle", 422, "start");
        refused(run + "/amounts?what=weight", 422, "duration");
        refused(run + "/dates?bins=2", 422, "5 to 200");
        refused(run + "/amounts?of=S00", 409, "No money stands on");
        refused(run + "/repeats/0", 422, "from 1 to 50");
    }

    private void refused(String address, int how, String why) throws Exception {
        http.perform(get(address)).andExpect(status().is(how)).andExpect(jsonPath("$.detail", containsString(why)));
    }

    @Test
    void aRepeatHasAnotherSeedAndWandersLittle() throws Exception {
        String run = demoRun();
        JsonNode one = read(run + "/repeats/1");
        assertThat(one.get("seed").asLong()).isEqualTo(4712);
        assertThat(one.get("level").asInt()).isEqualTo(80);
        assertThat(read(run + "/repeats/1")).isEqualTo(one);
        assertThat(read(run + "/repeats/2").get("levelCost")).isNotEqualTo(one.get("levelCost"));
        JsonNode cost = read(run + "/amounts?levels=80").at("/levels/0");
        double width = cost.get("high").asDouble() - cost.get("low").asDouble();
        // Two estimates of one percentile differ by twice its 95 % half-width only once in hundreds of repeats.
        assertThat(one.get("levelCost").asDouble()).isCloseTo(cost.get("value").asDouble(), within(width));
    }

    @Test
    void branchesHaveSpansToo() throws Exception {
        JsonNode spans = read(demoRun() + "/spans");
        assertThat(spans.get("branches").size()).isPositive();
        for (JsonNode branch : spans.get("branches")) {
            assertThat(branch.get("start").get(0).asLong())
                    .isLessThan(branch.get("finish").get(0).asLong());
            assertThat(branch.get("criticality").asDouble()).isBetween(0.0, 1.0);
        }
    }

    @Test
    void liveOddsAreReadLikeARecordedRunAndAgreeWithTheHorizon() throws Exception {
        String project = bringIn("kestrel-ridge");
        JsonNode live = refined(project);
        String run = "/api/runs/" + live.get("run").asText();
        JsonNode odds = read(run + "/dates?levels=80");
        assertThat(odds.at("/levels/0/value").asText())
                .isEqualTo(live.at("/outlook/finish/percentiles/79").asText());
        assertThat(read(run + "/futures/17").get("of").asInt()).isEqualTo(5000);
        assertThat(read(run + "/amounts?of=S&levels=50").at("/levels/0/value").asDouble())
                .isPositive();

        http.perform(patch("/api/projects/" + project + "/rows")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("[{\"id\":\"S20\",\"estimate\":{\"shape\":\"uniform\",\"low\":120,\"high\":190}}]"))
                .andExpect(status().isOk());
        JsonNode after = refined(project);
        assertThat(after.get("run")).isNotEqualTo(live.get("run"));
        assertThat(read("/api/runs/" + after.get("run").asText() + "/dates?levels=80")
                        .at("/levels/0/value")
                        .asText())
                .isGreaterThan(odds.at("/levels/0/value").asText());
    }

    private JsonNode refined(String project) {
        return await().atMost(PATIENCE)
                .until(
                        () -> read("/api/projects/" + project + "/odds"),
                        view -> view.get("state").asText().equals("refined"));
    }

    @Test
    void theProjectChoosesItsLevelOfConfidenceAndRunsSayIt() throws Exception {
        String project = bringIn("garden-room");
        assertThat(read("/api/projects/" + project).get("confidence").asInt()).isEqualTo(80);
        settings(project, "{\"confidence\":120}").andExpect(status().isUnprocessableEntity());
        settings(project, "{\"confidence\":90}").andExpect(status().isOk());
        JsonNode run = ended(begin(project, "{\"iterations\":1000,\"seed\":1}"));
        assertThat(run.get("level").asInt()).isEqualTo(90);
        String id = run.get("id").asText();
        assertThat(read("/api/runs/" + id + "/dates?levels=90").at("/levels/0/value"))
                .isEqualTo(run.get("levelFinish"));
        assertThat(read("/api/runs/" + id + "/amounts?levels=90")
                        .at("/levels/0/value")
                        .asDouble())
                .isEqualTo(run.get("levelCost").asDouble());
    }

    private ResultActions settings(String project, String body) throws Exception {
        return http.perform(patch("/api/projects/" + project + "/settings")
                .contentType(MediaType.APPLICATION_JSON)
                .content(body));
    }
}
