package app.tychon.server.runs;

import static org.assertj.core.api.Assertions.assertThat;
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
import java.time.Duration;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

class RunsOnRecordTest extends RunningTest {
    private JsonNode send(MockHttpServletRequestBuilder request, String body) throws Exception {
        return json.readTree(
                http.perform(request.contentType(MediaType.APPLICATION_JSON).content(body))
                        .andExpect(status().is2xxSuccessful())
                        .andReturn()
                        .getResponse()
                        .getContentAsString());
    }

    @Test
    void aRunAgainOfTheSameInputsGivesTheSameNumbersWhateverHasChangedSince() throws Exception {
        String project = bringIn("garden-room");
        String run = begin(project, "{\"iterations\":2000,\"seed\":7,\"name\":\"Before the winter\"}");
        assertThat(ended(run).get("name").asText()).isEqualTo("Before the winter");
        send(patch("/api/projects/" + project + "/rows"), "[{\"id\":\"G30\",\"duration\":\"40d\"}]");
        JsonNode changes = read("/api/runs/" + run + "/changes");
        assertThat(changes).hasSize(1);
        assertThat(changes.at("/0/key").asText()).isEqualTo("G30");
        assertThat(changes.at("/0/fields").toString()).isEqualTo("[\"duration\"]");

        String again = send(post("/api/runs/" + run + "/again"), "").get("id").asText();
        JsonNode ended = ended(again);
        assertThat(ended.get("revision").asInt()).isEqualTo(1);
        assertThat(ended.get("name").asText()).isEqualTo("Run 1 again");
        String levels = "/dates?levels=5,50,95";
        assertThat(read("/api/runs/" + again + levels)).isEqualTo(read("/api/runs/" + run + levels));
    }

    @Test
    void aRunUntilSteadyStopsByItselfBeforeItsMostIterations() throws Exception {
        String project = bringIn("garden-room");
        JsonNode loose = ended(begin(project, "{\"iterations\":200000,\"seed\":7,\"tolerance\":0.05}"));
        assertThat(loose.get("state").asText()).isEqualTo("done");
        assertThat(loose.get("done").asInt()).isBetween(1000, 20_000);
        JsonNode tight = ended(begin(project, "{\"iterations\":200000,\"seed\":7,\"tolerance\":0.025}"));
        assertThat(tight.get("done").asInt()).isGreaterThan(loose.get("done").asInt());
        start(project, "{\"iterations\":2000,\"tolerance\":0}")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.problems[0].pointer").value("/tolerance"));
    }

    @Test
    void aRunIsHeldAndGoesOnWithTheSameNumbers() throws Exception {
        String project = bringIn("kestrel-ridge");
        String run = begin(project, "{\"iterations\":200000,\"seed\":7}");
        await().atMost(PATIENCE).until(() -> done(run) > 0);
        send(post("/api/runs/" + run + "/pause"), "");
        JsonNode held = read("/api/runs/" + run);
        assertThat(held.at("/progress/paused").asBoolean()).isTrue();
        // What was at work ends its batch; after that nothing moves.
        AtomicInteger last = new AtomicInteger();
        await().during(Duration.ofMillis(400))
                .atMost(PATIENCE)
                .until(() -> done(run), now -> now == last.getAndSet(now));
        int done = done(run);
        send(post("/api/runs/" + run + "/resume"), "");
        await().atMost(PATIENCE).until(() -> done(run) > done);
        send(post("/api/runs/" + run + "/stop"), "");
        JsonNode stopped = ended(run);
        assertThat(stopped.get("state").asText()).isEqualTo("stopped");
        assertThat(stopped.get("done").asInt()).isGreaterThan(done);
    }

    private int done(String run) throws Exception {
        return read("/api/runs/" + run).at("/progress/done").asInt();
    }

    @Test
    void aDeletedRunLeavesTheListAndCanBeBroughtBack() throws Exception {
        String project = bringIn("garden-room");
        String run = begin(project, "{\"iterations\":500,\"seed\":7}");
        ended(run);
        http.perform(delete("/api/runs/" + run)).andExpect(status().isNoContent());
        assertThat(read("/api/projects/" + project + "/runs")).isEmpty();
        assertThat(lastP80(project).isMissingNode())
                .as("in the list of projects")
                .isTrue();
        send(post("/api/runs/" + run + "/restore"), "");
        assertThat(read("/api/projects/" + project + "/runs")).hasSize(1);
        assertThat(lastP80(project).asText()).startsWith("20");
    }

    private JsonNode lastP80(String project) throws Exception {
        for (JsonNode one : read("/api/projects")) {
            if (one.at("/project/id").asText().equals(project)) {
                return one.at("/kept/finish");
            }
        }
        throw new AssertionError("the project is not listed");
    }

    @Test
    void aSurerIntervalTakesMoreIterations() throws Exception {
        String project = bringIn("garden-room");
        String settings = "{\"iterations\":200000,\"seed\":7,\"tolerance\":0.03,\"certainty\":%s}";
        int usual =
                ended(begin(project, settings.formatted("0.95"))).get("done").asInt();
        int surer =
                ended(begin(project, settings.formatted("0.99"))).get("done").asInt();
        // Widths go with the normal quantile: 2.576 / 1.960, squared.
        assertThat((double) surer / usual).isBetween(1.2, 2.5);
        start(project, "{\"iterations\":2000,\"certainty\":1}")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.problems[0].pointer").value("/certainty"));
    }

    @Test
    void theListSaysWhoMadeARun() throws Exception {
        String project = bringIn("garden-room");
        String body = http.perform(post("/api/projects/" + project + "/runs")
                        .header("Tychon-Person", "anna")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("{\"iterations\":500,\"seed\":7}"))
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(json.readTree(body).get("own").asBoolean()).isTrue();
        ended(json.readTree(body).get("id").asText());
        for (String reader : new String[] {"anna", "ben"}) {
            http.perform(get("/api/projects/" + project + "/runs").header("Tychon-Person", reader))
                    .andExpect(jsonPath("$[0].own").value(reader.equals("anna")));
        }
    }

    @Test
    void aRunIsCalledSomethingAndSaysWhy() throws Exception {
        String run = begin(bringIn("garden-room"), "{\"iterations\":500,\"seed\":7}");
        ended(run);
        send(patch("/api/runs/" + run), "{\"name\":\" For the board \",\"note\":\"With the second crew\"}");
        JsonNode view = read("/api/runs/" + run);
        assertThat(view.get("name").asText()).isEqualTo("For the board");
        assertThat(view.get("note").asText()).isEqualTo("With the second crew");
        http.perform(patch("/api/runs/" + run)
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("{\"name\":\"" + "x".repeat(121) + "\"}"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.problems[0].message").value(containsString("120 characters")));
    }
}
