package app.tychon.server;

import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.autoconfigure.web.servlet.AutoConfigureMockMvc;
import org.springframework.boot.test.autoconfigure.web.servlet.MockMvcBuilderCustomizer;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMultipartHttpServletRequestBuilder;

/** The whole server over HTTP, on a real MariaDB. Every test brings in projects of its own. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@AutoConfigureMockMvc
@Import(ServerTest.EveryRequest.class)
public abstract class ServerTest {
    protected static final Path EXAMPLES = Path.of("..", "examples");

    /** What a program of the machine sends with every request. */
    @TestConfiguration
    static class EveryRequest {
        @Bean
        MockMvcBuilderCustomizer saysWhoAsks() {
            return builder -> builder.defaultRequest(get("/").header("Tychon-Person", "tester")
                    .header("Authorization", "Bearer " + TestDatabase.MACHINE_KEY));
        }
    }

    @Autowired
    protected MockMvc http;

    @Autowired
    protected ObjectMapper json;

    @DynamicPropertySource
    static void database(DynamicPropertyRegistry registry) {
        TestDatabase.use(registry);
    }

    /** Brings an example in over HTTP and returns its key. */
    protected String bringIn(String example) throws Exception {
        return bringIn(Files.readAllBytes(EXAMPLES.resolve(example + ".tychon.json")));
    }

    /** Brings a project file in over HTTP and returns its key. */
    protected String bringIn(byte[] file) throws Exception {
        String body = http.perform(post("/api/projects")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content(file))
                .andExpect(status().isCreated())
                .andReturn()
                .getResponse()
                .getContentAsString();
        return json.readTree(body).get("id").asText();
    }

    protected JsonNode read(String address) throws Exception {
        return json.readTree(http.perform(get(address))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    /** What a file that is offered holds. */
    protected byte[] download(String address) throws Exception {
        return http.perform(get(address))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
    }

    /** Sends a file, with parameters by name and value, and reads what is answered. */
    protected JsonNode send(String address, byte[] file, String... parameters) throws Exception {
        MockMultipartHttpServletRequestBuilder request =
                multipart(address).file(new MockMultipartFile("file", "table", "application/octet-stream", file));
        for (int i = 0; i < parameters.length; i += 2) {
            request.param(parameters[i], parameters[i + 1]);
        }
        return json.readTree(http.perform(request.header("Tychon-Person", "ann"))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }
}
