package app.tychon.server.edits;

import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.core.model.Link;
import app.tychon.core.model.Plan;
import app.tychon.exchange.ProjectFileReader;
import app.tychon.server.ServerTest;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.ByteArrayInputStream;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** Edits of the demo over HTTP, by one person unless they say otherwise. */
public abstract class EditedPlanTest extends ServerTest {
    protected String project;

    @BeforeEach
    void bringInTheDemo() throws Exception {
        project = bringIn("kestrel-ridge");
    }

    protected ResultActions send(MockHttpServletRequestBuilder request, String body) throws Exception {
        return http.perform(request.contentType(MediaType.APPLICATION_JSON)
                .header("Tychon-Person", "ann")
                .content(body));
    }

    protected JsonNode accepted(MockHttpServletRequestBuilder request, String body) throws Exception {
        return json.readTree(send(request, body)
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    protected String at(String path) {
        return "/api/projects/" + project + path;
    }

    /** The plan as its file has it; the order of links means nothing. */
    protected Plan plan() throws Exception {
        byte[] file = http.perform(get(at("/file"))).andReturn().getResponse().getContentAsByteArray();
        Plan plan = ProjectFileReader.read(new ByteArrayInputStream(file));
        List<Link> links = plan.links().stream()
                .sorted(Comparator.comparing(Link::toString))
                .toList();
        return plan.withLinks(links);
    }

    protected void refuse(MockHttpServletRequestBuilder request, String body, String pointer, String reason)
            throws Exception {
        send(request, body)
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.problems[0].pointer").value(pointer))
                .andExpect(jsonPath("$.problems[0].message").value(containsString(reason)));
    }
}
