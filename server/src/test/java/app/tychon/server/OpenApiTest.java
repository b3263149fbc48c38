package app.tychon.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.SerializationFeature;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/**
 * The interface's types are generated from the document kept in {@code web/openapi.json}; it must be the one that the
 * server serves. Run with {@code -Dopenapi.update=true} to take the server's over.
 */
class OpenApiTest extends ServerTest {
    private static final Path KEPT = Path.of("..", "web", "openapi.json");

    @Test
    void theKeptDocumentIsTheOneServed() throws Exception {
        JsonNode served = read("/api/openapi");
        if (Boolean.getBoolean("openapi.update")) {
            Files.writeString(
                    KEPT, json.copy().enable(SerializationFeature.INDENT_OUTPUT).writeValueAsString(served) + "\n");
        }
        assertThat(json.readTree(KEPT.toFile())).isEqualTo(served);
    }

    @Test
    void theDocumentIsTheSameHoweverOftenItIsAskedFor() throws Exception {
        JsonNode first = read("/api/openapi");
        assertThat(read("/api/openapi")).isEqualTo(first);
    }
}
