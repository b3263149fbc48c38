package app.tychon.server.web;

import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.server.ServerTest;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.context.WebApplicationContext;

/** What a page of another site, open in the same browser, can do: nothing. */
class RequestGuardTest extends ServerTest {
    @Autowired
    private WebApplicationContext application;

    @Autowired
    private RequestGuard guard;

    /** Without the header that our own pages send. */
    private MockMvc stranger;

    @BeforeEach
    void aStranger() {
        stranger = MockMvcBuilders.webAppContextSetup(application)
                .addFilters(guard)
                .build();
    }

    @Test
    void formsOfOtherSitesChangeNothing() throws Exception {
        String project = bringIn("garden-room");
        stranger.perform(post("/api/projects/" + project + "/undo")
                        .contentType(MediaType.APPLICATION_FORM_URLENCODED)
                        .header("Origin", "https://elsewhere.example"))
                .andExpect(status().isForbidden())
                .andExpect(jsonPath("$.detail", containsString("Nothing was changed")));
        stranger.perform(multipart("/api/projects/" + project + "/update").file("file", new byte[] {1}))
                .andExpect(status().isForbidden());
        stranger.perform(get("/api/projects/" + project)).andExpect(status().isOk());
    }

    @Test
    void aNameThatIsNotServedIsRefused() throws Exception {
        stranger.perform(get("/api/projects").header("Host", "evil.example:8080"))
                .andExpect(status().is(421));
        for (String host : new String[] {"localhost:8080", "127.0.0.1:9999", "[::1]:8080"}) {
            stranger.perform(get("/api/projects").header("Host", host)).andExpect(status().isOk());
        }
    }

    @Test
    void everyAnswerSaysWhatABrowserMayDoWithIt() throws Exception {
        http.perform(get("/api/projects"))
                .andExpect(header().string("Content-Security-Policy", containsString("frame-ancestors 'none'")))
                .andExpect(header().string("X-Content-Type-Options", "nosniff"));
    }

    @Test
    void healthTellsWhetherWorkCanBeDone() throws Exception {
        http.perform(get("/health"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.live").value(true))
                .andExpect(jsonPath("$.ready").value(true));
    }

    @Test
    void aBodyThatIsTooLargeIsRefusedBeforeItIsRead() throws Exception {
        String project = bringIn("garden-room");
        String large = "{\"name\":\"" + "n".repeat(5_000_000) + "\"}";
        http.perform(org.springframework.test.web.servlet.request.MockMvcRequestBuilders.patch(
                                "/api/projects/" + project + "/settings")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content(large))
                .andExpect(status().isPayloadTooLarge())
                .andExpect(jsonPath("$.detail", containsString("4 MB")));
    }
}
