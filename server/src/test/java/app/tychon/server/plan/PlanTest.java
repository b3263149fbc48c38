package app.tychon.server.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasItem;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.patch;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.WholePlan;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Shape;
import app.tychon.exchange.ProjectFileReader;
import app.tychon.server.ServerTest;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.ByteArrayInputStream;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.ResultActions;

class PlanTest extends ServerTest {
    @Autowired
    private PlanStore plans;

    private ResultActions edit(String project, long revision, String body) throws Exception {
        return http.perform(patch("/api/projects/" + project + "/rows")
                .contentType(MediaType.APPLICATION_JSON)
                .header("If-Match", "\"" + revision + "\"")
                .content(body));
    }

    private static JsonNode activity(JsonNode plan, String id) {
        for (JsonNode row : plan.get("activities")) {
            if (row.get("id").asText().equals(id)) {
                return row;
            }
        }
        throw new AssertionError("no activity " + id);
    }

    @Test
    void aPlanIsShownWithItsDatesAndRanges() throws Exception {
        JsonNode plan = read("/api/projects/" + bringIn("garden-room") + "/plan");
        assertThat(plan.at("/finish").asText()).isEqualTo("2027-06-01T17:00:00");
        JsonNode frame = activity(plan, "G40");
        assertThat(frame.at("/range/low").asDouble()).isEqualTo(4.8);
        assertThat(frame.at("/range/likely").asDouble()).isEqualTo(6);
        assertThat(frame.at("/onLongestPath").asBoolean()).isTrue();
        assertThat(activity(plan, "G60").at("/range/shape").asText()).isEqualTo("certain");
        assertThat(plan.at("/branches/0/finish").asText()).isEqualTo("2027-06-01T17:00:00");
    }

    @Test
    void whatIsStoredIsTheSamePlanAgain() throws Exception {
        List<Plan> all = new ArrayList<>(List.of(WholePlan.plan()));
        for (int seed = 0; seed < 5; seed++) {
            all.add(RandomPlans.risky(seed, 60));
        }
        for (Plan plan : all) {
            UUID id = plans.insert(plan);
            assertThat(plans.find(id).plan()).isEqualTo(plan);
        }
    }

    @Test
    void shapesWithoutBoundsAreDrawnBetweenTheirOutermostChances() throws Exception {
        UUID id = plans.insert(new PlanBuilder()
                .task("A", 10, new Shape.Lognormal(10, 4))
                .task("B", 10, new Shape.Triangular(8, 10, 15, new Shape.Ends(0.1, 0.9)))
                .build());
        JsonNode plan = read("/api/projects/" + id + "/plan");
        JsonNode lognormal = activity(plan, "A").get("range");
        assertThat(lognormal.get("shape").asText()).isEqualTo("lognormal");
        assertThat(lognormal.get("limits").asBoolean()).isFalse();
        assertThat(lognormal.get("mean").asDouble()).isEqualTo(10);
        assertThat(lognormal.get("high").asDouble()).isBetween(20.0, 40.0);
        JsonNode percentiles = activity(plan, "B").get("range");
        assertThat(percentiles.get("limits").asBoolean()).isFalse();
        assertThat(percentiles.get("low").asDouble()).as("the solved end").isLessThan(8);
    }

    @Test
    void aProjectGoesOutAsTheFileItCameFrom() throws Exception {
        String id = bringIn("kestrel-ridge");
        byte[] file = http.perform(get("/api/projects/" + id + "/file"))
                .andExpect(header().string("Content-Disposition", containsString("Kestrel")))
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        Plan original = ProjectFileReader.read(Files.newInputStream(EXAMPLES.resolve("kestrel-ridge.tychon.json")));
        assertThat(ProjectFileReader.read(new ByteArrayInputStream(file))).isEqualTo(original);
    }

    @Test
    void anEditIsStoredAndTellsWhatMoved() throws Exception {
        String id = bringIn("garden-room");
        edit(
                        id,
                        1,
                        """
                        [{"id":"G30","duration":"20d"},
                         {"id":"G20","name":"Dig, form and pour the base",
                          "estimate":{"shape":"triangular","low":4,"likely":6,"high":12,"basis":"days"}}]""")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.revision").value(2))
                .andExpect(jsonPath("$.finish").value("2027-06-08T17:00:00"))
                .andExpect(jsonPath("$.activities[*].id", hasItem("G60")));
        JsonNode plan = read("/api/projects/" + id + "/plan");
        assertThat(plan.at("/project/revision").asInt()).isEqualTo(2);
        assertThat(activity(plan, "G20").at("/name").asText()).isEqualTo("Dig, form and pour the base");
        assertThat(activity(plan, "G20").at("/range/likely").asDouble()).isEqualTo(6);
        assertThat(activity(plan, "G30").at("/duration").asText()).isEqualTo("20d");
        assertThat(activity(plan, "G30").at("/range/high").asDouble())
                .as("untouched")
                .isEqualTo(22);
    }

    @Test
    void anEstimateCanBeTakenAway() throws Exception {
        String id = bringIn("garden-room");
        edit(id, 1, "[{\"id\":\"G10\",\"certain\":true}]").andExpect(status().isOk());
        assertThat(activity(read("/api/projects/" + id + "/plan"), "G10")
                        .at("/range/shape")
                        .asText())
                .isEqualTo("certain");
    }

    @Test
    void predecessorsAreEditedAsTextAndALoopIsSpelledOut() throws Exception {
        UUID id = plans.insert(new PlanBuilder()
                .task("A", 5)
                .task("B", 5)
                .task("C", 5)
                .link("A", "B")
                .link("B", "C")
                .build());
        JsonNode result =
                json.readTree(edit(id.toString(), 1, "[{\"id\":\"C\",\"predecessors\":\"a; BSS−" + "2d; AFS+1w\"}]")
                        .andExpect(status().isOk())
                        .andReturn()
                        .getResponse()
                        .getContentAsString());
        assertThat(result.at("/finish").asText()).isEqualTo("2027-03-19T17:00:00");
        assertThat(result.at("/predecessors/C")).hasSize(3);
        assertThat(result.at("/predecessors/C/1/lag").asText()).isEqualTo("-2d");
        assertThat(plans.find(id).plan().links()).hasSize(4);
        edit(id.toString(), 2, "[{\"id\":\"A\",\"predecessors\":\"C\"}]")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.problems[0].pointer").value("/0/predecessors"))
                .andExpect(jsonPath("$.problems[0].message").value(containsString("runs in a loop: ")));
        edit(id.toString(), 2, "[{\"id\":\"A\",\"predecessors\":\"Z+1d\"}]")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.problems[0].message").value(containsString("\"Z+1d\" is no predecessor")));
        edit(id.toString(), 2, "[{\"id\":\"C\",\"predecessors\":\"\"}]").andExpect(status().isOk());
        JsonNode plan = read("/api/projects/" + id + "/plan");
        assertThat(plan.at("/links")).hasSize(1);
        assertThat(plan.at("/finish").asText()).isEqualTo("2027-03-12T17:00:00");
    }

    @Test
    void certaintyCanBeSaidWhereAGradeWouldHold() throws Exception {
        UUID id = plans.insert(new PlanBuilder()
                .grade("B", new Shape.Triangular(0.9, 1, 1.5))
                .graded("W", "B")
                .task("A", 10)
                .hammock("H", "A", "A")
                .resource("crew", 100, Resource.Per.DAY)
                .assign("H", "crew", 2)
                .build());
        JsonNode plan = read("/api/projects/" + id + "/plan");
        assertThat(activity(plan, "A").at("/range/high").asDouble()).isEqualTo(15);
        assertThat(activity(plan, "H").at("/range/planned").asDouble()).isEqualTo(10);
        assertThat(activity(plan, "H").at("/range/shape").asText()).isEqualTo("certain");
        assertThat(plan.at("/plannedCost").asDouble()).isEqualTo(2000);
        edit(id.toString(), 1, "[{\"id\":\"A\",\"certain\":true}]").andExpect(status().isOk());
        JsonNode after = activity(read("/api/projects/" + id + "/plan"), "A");
        assertThat(after.at("/range/shape").asText()).isEqualTo("certain");
        assertThat(after.at("/range/high").asDouble()).isEqualTo(10);
    }

    @Test
    void badInputIsRefusedByFieldAndNothingIsChanged() throws Exception {
        String id = bringIn("garden-room");
        edit(
                        id,
                        1,
                        """
                        [{"id":"G10","estimate":{"shape":"triangular","low":9,"likely":8,"high":14}},
                         {"id":"G20","duration":"-3d"},
                         {"id":"G30","estimate":{"shape":"uniform","low":"1o","high":22}},
                         {"id":"G40","name":"  "},
                         {"id":"G50","duration":"soon"},
                         {"id":"G99","name":"nobody"},
                         {"id":"G20","name":"A good name"}]""")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.problems[0].pointer").value("/0/estimate/low"))
                .andExpect(jsonPath("$.problems[0].message").value("low 9 is above likely 8"))
                .andExpect(jsonPath("$.problems[1].message").value("a duration cannot be below zero; this is -3d"))
                .andExpect(jsonPath("$.problems[2].pointer").value("/2/estimate/low"))
                .andExpect(jsonPath("$.problems[2].message").value("must be a number, not \"1o\""))
                .andExpect(jsonPath("$.problems[3].message").value("the name is empty"))
                .andExpect(jsonPath("$.problems[4].pointer").value("/4/duration"))
                .andExpect(jsonPath("$.problems[5].pointer").value("/5/id"));
        JsonNode plan = read("/api/projects/" + id + "/plan");
        assertThat(plan.at("/project/revision").asInt()).isEqualTo(1);
        assertThat(activity(plan, "G20").at("/name").asText()).isEqualTo("Dig and pour the base");
    }

    @Test
    void anEditOfAnOlderPlanIsRefused() throws Exception {
        String id = bringIn("garden-room");
        edit(id, 1, "[{\"id\":\"G10\",\"duration\":\"9d\"}]").andExpect(status().isOk());
        edit(id, 1, "[{\"id\":\"G10\",\"duration\":\"10d\"}]")
                .andExpect(status().isConflict())
                .andExpect(jsonPath("$.detail", containsString("changed meanwhile")));
    }

    @Test
    void nonsenseIsRefusedWithASentence() throws Exception {
        String id = bringIn("garden-room");
        edit(id, 1, "[{\"id\":")
                .andExpect(status().isBadRequest())
                .andExpect(jsonPath("$.detail").exists());
        edit(id, 1, "[]").andExpect(status().isUnprocessableEntity());
        edit(id, 1, "[{\"id\":\"G10\",\"certain\":[1]}]")
                .andExpect(status().isBadRequest())
                .andExpect(jsonPath("$.problems[0].pointer").value("/0/certain"));
    }

    @Test
    void aBadFileIsRefusedWithEveryProblemAndNothingIsKept() throws Exception {
        int before = read("/api/projects").size();
        http.perform(post("/api/projects")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("{\"format\":\"tychon-project\",\"version\":1,\"project\":{}}"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.problems[*].pointer", hasItem("/project/name")));
        http.perform(post("/api/projects")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("hello"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail", containsString("not sound JSON")));
        assertThat(read("/api/projects")).hasSize(before);
    }
}
