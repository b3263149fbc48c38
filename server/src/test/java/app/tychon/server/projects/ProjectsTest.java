package app.tychon.server.projects;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.server.ServerTest;
import com.fasterxml.jackson.databind.JsonNode;
import jakarta.persistence.EntityManager;
import java.time.LocalDateTime;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.transaction.support.TransactionTemplate;

class ProjectsTest extends ServerTest {
    @Autowired
    private ProjectService projects;

    @Autowired
    private EntityManager entities;

    @Autowired
    private TransactionTemplate transaction;

    private JsonNode listed(String shelf, String id) throws Exception {
        for (JsonNode one : read("/api/projects?shelf=" + shelf)) {
            if (one.at("/project/id").asText().equals(id)) {
                return one;
            }
        }
        return null;
    }

    private String created(String address, String body) throws Exception {
        return json.readTree(http.perform(post(address)
                                .contentType(MediaType.APPLICATION_JSON)
                                .content(body))
                        .andExpect(status().isCreated())
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .get("id")
                .asText();
    }

    @Test
    void theListTellsWhatMatters() throws Exception {
        JsonNode one = listed("OPEN", bringIn("garden-room"));
        assertThat(one.get("finish").asText()).isEqualTo("2027-06-01T17:00:00");
        assertThat(one.get("activities").asInt()).isPositive();
        assertThat(one.has("p80")).as("never simulated").isFalse();
    }

    @Test
    void aBlankProjectHasABranchAndAWeek() throws Exception {
        String id = created("/api/projects/blank", "{\"name\":\" Harbour light \",\"start\":\"2027-03-01\"}");
        JsonNode plan = read("/api/projects/" + id + "/plan");
        assertThat(plan.at("/project/name").asText()).isEqualTo("Harbour light");
        assertThat(plan.at("/finish").asText()).isEqualTo("2027-03-01T08:00:00");
        assertThat(plan.get("branches")).hasSize(1);
        http.perform(post("/api/projects/blank")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("{\"name\":\" \",\"start\":\"2027-03-01\",\"currency\":\"euro\"}"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail").value(containsString("needs a name")))
                .andExpect(jsonPath("$.detail").value(containsString("three capitals")));
    }

    @Test
    void anExampleAndACopyAreProjectsOfTheirOwn() throws Exception {
        String example = created("/api/projects/examples/garden-room", "");
        String copy = created("/api/projects/" + example + "/duplicate", "");
        assertThat(listed("OPEN", copy).at("/project/name").asText()).startsWith("Copy of ");
        http.perform(delete("/api/projects/" + example)).andExpect(status().isNoContent());
        assertThat(read("/api/projects/" + copy + "/plan").get("activities")).isNotEmpty();
        http.perform(post("/api/projects/examples/none")).andExpect(status().isNotFound());
    }

    @Test
    void aDeletedProjectCanBeBroughtBackUntilItIsSweptOut() throws Exception {
        String id = bringIn("garden-room");
        http.perform(delete("/api/projects/" + id)).andExpect(status().isNoContent());
        assertThat(listed("OPEN", id)).isNull();
        assertThat(listed("DELETED", id)).isNotNull();
        http.perform(put("/api/projects/" + id + "/shelf?shelf=OPEN")).andExpect(status().isNoContent());
        assertThat(listed("OPEN", id)).isNotNull();
        http.perform(put("/api/projects/" + id + "/shelf?shelf=ARCHIVED")).andExpect(status().isNoContent());
        assertThat(listed("ARCHIVED", id)).isNotNull();

        http.perform(delete("/api/projects/" + id)).andExpect(status().isNoContent());
        projects.sweep();
        assertThat(listed("DELETED", id)).as("deleted today").isNotNull();
        transaction.executeWithoutResult(
                t -> entities.createQuery("update ProjectEntity p set p.deletedAt = :then where p.id = :id")
                        .setParameter("then", LocalDateTime.now().minusDays(40))
                        .setParameter("id", UUID.fromString(id))
                        .executeUpdate());
        projects.sweep();
        http.perform(get("/api/projects/" + id + "/plan"))
                .andExpect(status().isNotFound())
                .andExpect(jsonPath("$.detail").value("There is no such project."));
    }
}
