package app.tychon.server.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.UncheckedIOException;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.slf4j.LoggerFactory;
import org.springframework.http.MediaType;

/** What is kept of who came in, was turned away, took out, deleted. */
class AuditTest extends PeopledTest {
    private static final Logger LOG = (Logger) LoggerFactory.getLogger("tychon.audit");

    private final ListAppender<ILoggingEvent> kept = new ListAppender<>();

    @BeforeEach
    void listen() {
        kept.start();
        LOG.addAppender(kept);
    }

    @AfterEach
    void leave() {
        LOG.detachAppender(kept);
    }

    private List<JsonNode> lines(String event) {
        return List.copyOf(kept.list).stream()
                .map(ILoggingEvent::getFormattedMessage)
                .map(line -> {
                    try {
                        assertThat(line).doesNotContain("\n");
                        return json.readTree(line);
                    } catch (JsonProcessingException e) {
                        throw new UncheckedIOException(e);
                    }
                })
                .filter(line -> line.get("event").asText().equals(event))
                .toList();
    }

    @Test
    void whatIsDeniedTakenOutAndDeletedIsKeptWithWhoItWas() throws Exception {
        String project = "/api/projects/" + project();
        as(READER, post(project + "/undo"));
        assertThat(lines("denied").get(0).get("who").asText())
                .isEqualTo(account(READER).toString());
        assertThat(lines("denied").get(0).get("path").asText()).isEqualTo(project + "/undo");
        as(READER, get(project + "/file"));
        assertThat(lines("taken-out")).hasSize(1);
        as(OWNER, delete(project));
        assertThat(lines("deleted").get(0).get("who").asText())
                .isEqualTo(account(OWNER).toString());
        assertThat(lines("deleted").get(0).get("request").asText()).isNotEmpty();
    }

    /** What somebody types cannot pass for another line. */
    @Test
    void whatWasTypedStaysWithinItsLineAndPasswordsAreNotKept() throws Exception {
        http.perform(post("/api/session")
                .header("Authorization", "Bearer none")
                .contentType(MediaType.APPLICATION_JSON)
                .content("{\"email\":\"x\\n{\\\"event\\\":\\\"sign-in\\\"}\",\"password\":\"a secret word\"}"));
        JsonNode refused = lines("sign-in-refused").get(0);
        assertThat(refused.get("email").asText()).contains("\n");
        assertThat(lines("sign-in")).isEmpty();
        assertThat(refused.toString()).doesNotContain("a secret word");
    }
}
