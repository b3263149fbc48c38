package app.tychon.server.cuts;

import static org.awaitility.Awaitility.await;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.AbstractMockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** A project of its own that a change is made of. */
final class Subject {
    private static final Path EXAMPLES = Path.of("..", "examples");

    /** An answer that is none. */
    static final class Refused extends RuntimeException {
        private static final long serialVersionUID = 1L;

        Refused(String answer) {
            super(answer);
        }
    }

    private final MockMvc http;
    private final ObjectMapper json;
    /** Plans that are kept in memory, by project. */
    private final Map<?, ?> warm;

    private final String project;
    private String programme;

    Subject(MockMvc http, ObjectMapper json, Map<?, ?> warm) throws Exception {
        this.http = http;
        this.json = json;
        this.warm = warm;
        project = bringIn(file("Kestrel Ridge"));
    }

    String project() {
        return project;
    }

    String at(String path) {
        return "/api/projects/" + project + path;
    }

    static AbstractMockHttpServletRequestBuilder<?> json(
            AbstractMockHttpServletRequestBuilder<?> request, String body) {
        return request.contentType(MediaType.APPLICATION_JSON).content(body);
    }

    MockHttpServletResponse send(AbstractMockHttpServletRequestBuilder<?> request) throws Exception {
        return http.perform(request).andReturn().getResponse();
    }

    /** Something that must succeed. */
    MockHttpServletResponse does(AbstractMockHttpServletRequestBuilder<?> request) throws Exception {
        MockHttpServletResponse response = send(request);
        if (response.getStatus() >= 300) {
            throw new Refused(response.getStatus() + " " + response.getContentAsString());
        }
        return response;
    }

    JsonNode get(String address) throws Exception {
        return json.readTree(does(reading(address)).getContentAsString(StandardCharsets.UTF_8));
    }

    JsonNode read(String path) throws Exception {
        return get(at(path));
    }

    byte[] download(String path) throws Exception {
        return does(reading(at(path))).getContentAsByteArray();
    }

    /** The demo under another name. */
    String file(String name) throws Exception {
        ObjectNode file = (ObjectNode)
                json.readTree(EXAMPLES.resolve("kestrel-ridge.tychon.json").toFile());
        file.withObject("/project").put("name", name);
        return file.toString();
    }

    private String bringIn(String file) throws Exception {
        return json.readTree(does(json(post("/api/projects"), file)).getContentAsString())
                .get("id")
                .asText();
    }

    /** The plan with its history, as it is kept in memory and as the database has it. */
    String plan() throws Exception {
        String known = told();
        warm.clear();
        String kept = told();
        if (!known.equals(kept)) {
            throw new AssertionError("what is kept in memory is not what the database has");
        }
        return kept;
    }

    private String told() throws Exception {
        return new String(download("/file"), StandardCharsets.UTF_8)
                + read("/edits").size()
                + read("").get("revision");
    }

    /** On which shelf it lies. */
    String shelf() throws Exception {
        for (String shelf : List.of("OPEN", "ARCHIVED", "DELETED")) {
            for (JsonNode one : get("/api/projects?shelf=" + shelf)) {
                if (one.at("/project/id").asText().equals(project)) {
                    return shelf;
                }
            }
        }
        return "none";
    }

    /** The plan of the project of a name; nothing where there is none. */
    String called(String name) throws Exception {
        StringBuilder seen = new StringBuilder();
        for (JsonNode summary : get("/api/projects")) {
            JsonNode one = summary.get("project");
            if (one.get("name").asText().equals(name)) {
                seen.append(new String(
                                does(reading("/api/projects/" + one.get("id").asText() + "/file"))
                                        .getContentAsByteArray(),
                                StandardCharsets.UTF_8)
                        .replace(name, "its name"));
            }
        }
        return seen.toString();
    }

    /** Makes it part of a programme, with another project. */
    void inAProgramme() throws Exception {
        String other = bringIn(Files.readString(EXAMPLES.resolve("visitor-centre.tychon.json")));
        programme = json.readTree(does(json(
                                post("/api/programmes"),
                                "{\"name\":\"Both\",\"projects\":[{\"project\":\"" + project
                                        + "\",\"code\":\"KR\"},{\"project\":\"" + other + "\",\"code\":\"VC\"}]}"))
                        .getContentAsString())
                .get("id")
                .asText();
    }

    /** The duration of an activity of its own, or by its code in the programme. */
    String duration(String code, String id) throws Exception {
        String where = code.isEmpty() ? project : programme;
        for (JsonNode row : get("/api/projects/" + where + "/plan").get("activities")) {
            if (row.get("id").asText().equals(code + id)) {
                return row.get("duration").asText();
            }
        }
        throw new AssertionError("no activity " + code + id);
    }

    /** Records a run and waits for it. */
    void run() throws Exception {
        String run = json.readTree(does(json(post(at("/runs")), "{\"iterations\":500,\"seed\":7}"))
                        .getContentAsString())
                .get("id")
                .asText();
        await().atMost(Change.PATIENCE)
                .until(() -> get("/api/runs/" + run).get("state").asText().equals("done"));
    }

    static AbstractMockHttpServletRequestBuilder<?> reading(String address) {
        return MockMvcRequestBuilders.get(address);
    }
}
