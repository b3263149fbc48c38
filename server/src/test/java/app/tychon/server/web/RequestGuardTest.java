package app.tychon.server.web;

import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.patch;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.server.ServerTest;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;

/** What a page of another site, open in the same browser, can do: nothing. */
class RequestGuardTest extends ServerTest {
    @Test
    void aNameThatIsNotServedIsRefused() throws Exception {
        http.perform(get("/api/projects").header("Host", "evil.example:8080")).andExpect(status().is(421));
        for (String host : new String[] {"localhost:8080", "127.0.0.1:9999", "[::1]:8080"}) {
            http.perform(get("/api/projects").header("Host", host)).andExpect(status().isOk());
        }
    }

    @Test
    void everyAnswerSaysWhatABrowserMayDoWithIt() throws Exception {
        http.perform(get("/api/projects"))
                .andExpect(header().string("Content-Security-Policy", containsString("frame-ancestors 'none'")))
                .andExpect(header().string("X-Content-Type-Options", "nosniff"))
                .andExpect(header().string("X-Frame-Options", "DENY"))
                .andExpect(header().string("Referrer-Policy", "same-origin"))
                .andExpect(header().string("Permissions-Policy", containsString("camera=()")))
                .andExpect(header().string("Cross-Origin-Opener-Policy", "same-origin"))
                .andExpect(header().string("Cache-Control", containsString("no-store")));
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
        http.perform(patch("/api/projects/" + project + "/settings")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content(large))
                .andExpect(status().isPayloadTooLarge())
                .andExpect(jsonPath("$.detail", containsString("4 MB")));
    }
}
