package app.tychon.server.runs;

import static org.awaitility.Awaitility.await;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.server.ServerTest;
import com.fasterxml.jackson.databind.JsonNode;
import java.time.Duration;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.ResultActions;

/** Runs of examples, begun over HTTP and waited for. */
abstract class RunningTest extends ServerTest {
    static final Duration PATIENCE = Duration.ofSeconds(60);

    ResultActions start(String project, String settings) throws Exception {
        return http.perform(post("/api/projects/" + project + "/runs")
                .contentType(MediaType.APPLICATION_JSON)
                .content(settings));
    }

    String begin(String project, String settings) throws Exception {
        String body = start(project, settings)
                .andExpect(status().isAccepted())
                .andReturn()
                .getResponse()
                .getContentAsString();
        return json.readTree(body).get("id").asText();
    }

    /** Waits until a run has ended, and returns it. */
    JsonNode ended(String run) {
        return await().atMost(PATIENCE).until(() -> read("/api/runs/" + run), view -> !view.get("state")
                .asText()
                .equals("running"));
    }
}
