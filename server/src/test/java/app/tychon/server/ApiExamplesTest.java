package app.tychon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.server.project.DemoProject;
import app.tychon.server.projects.ProjectService;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** Every example of the API's document is sent as it stands to a server with the demo. */
class ApiExamplesTest extends RunningTest {
    @Autowired
    private ProjectService projects;

    /** An example: what is sent where. */
    private record Example(String method, String path, String body) {}

    @Test
    void everyExampleRunsAsItStandsAgainstTheDemo() throws Exception {
        try (InputStream in = Files.newInputStream(Path.of("../examples/kestrel-ridge.tychon.json"))) {
            assertThat(projects.bringInDemo(in)).isEqualTo(DemoProject.ID);
        }
        List<Example> examples = examples();
        // The run that is begun by an example is what many others tell of.
        Example run = examples.stream()
                .filter(one -> one.method().equals("POST") && one.path().endsWith("/runs"))
                .findFirst()
                .orElseThrow();
        ended(json.readTree(sent(run)).get("id").asText());
        examples.remove(run);
        for (Example example : examples) {
            sent(example);
        }
        assertThat(examples).hasSizeGreaterThan(40);
        assertThat(examples).filteredOn(one -> !one.method().equals("GET")).hasSizeGreaterThan(4);
    }

    private String sent(Example example) throws Exception {
        MockHttpServletRequestBuilder request = request(HttpMethod.valueOf(example.method()), example.path());
        if (!example.body().isEmpty()) {
            request.contentType(MediaType.APPLICATION_JSON).content(example.body());
        }
        // What is still being worked out says so, and is asked for again.
        MockHttpServletResponse response = await().atMost(PATIENCE)
                .until(
                        () -> http.perform(request).andReturn().getResponse(),
                        answer -> answer.getStatus() != HttpStatus.SERVICE_UNAVAILABLE.value());
        assertThat(response.getStatus())
                .as("%s: %s", example, response.getContentAsString())
                .isBetween(200, 299);
        return response.getContentAsString();
    }

    /** Reading examples, and those that have a body; each has everything that it needs. */
    private List<Example> examples() throws Exception {
        JsonNode document = json.readTree(http.perform(get("/api/openapi"))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
        List<Example> examples = new ArrayList<>();
        document.get("paths")
                .properties()
                .forEach(path -> path.getValue().properties().forEach(method -> {
                    String body = method.getValue()
                            .at("/requestBody/content/application~1json/example")
                            .toString();
                    String address = filled(path.getKey(), method.getValue().path("parameters"));
                    boolean reads = method.getKey().equals("get");
                    // Events never end.
                    boolean whole = !address.isEmpty() && !address.endsWith("/events");
                    if (whole && (reads || !body.isEmpty())) {
                        examples.add(new Example(method.getKey().toUpperCase(Locale.ROOT), address, body));
                    }
                }));
        return examples;
    }

    /** The address with the examples of its parameters; empty where one that it needs has none. */
    private static String filled(String path, JsonNode parameters) {
        String filled = path;
        for (JsonNode parameter : parameters) {
            String name = parameter.get("name").asText();
            if (parameter.get("in").asText().equals("path") && parameter.has("example")) {
                filled = filled.replace(
                        "{" + name + "}", parameter.get("example").asText());
            } else if (parameter.path("required").asBoolean(false)) {
                return "";
            }
        }
        return filled.contains("{") || !filled.startsWith("/api/projects/") ? "" : filled;
    }
}
