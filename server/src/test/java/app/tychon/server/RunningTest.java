package app.tychon.server;

import static org.awaitility.Awaitility.await;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.Duration;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.ResultActions;

/** Runs of examples, begun over HTTP and waited for. */
public abstract class RunningTest extends ServerTest {
    protected static final Duration PATIENCE = Duration.ofSeconds(60);

    protected ResultActions start(String project, String settings) throws Exception {
        return http.perform(post("/api/projects/" + project + "/runs")
                .contentType(MediaType.APPLICATION_JSON)
                .content(settings));
    }

    protected String begin(String project, String settings) throws Exception {
        String body = start(project, settings)
                .andExpect(status().isAccepted())
                .andReturn()
                .getResponse()
                .getContentAsString();
        return json.readTree(body).get("id").asText();
    }

    /** Waits until a run has ended, and returns it. */
    protected JsonNode ended(String run) {
        return await().atMost(PATIENCE).until(() -> read("/api/runs/" + run), view -> !view.get("state")
                .asText()
                .equals("running"));
    }
}
