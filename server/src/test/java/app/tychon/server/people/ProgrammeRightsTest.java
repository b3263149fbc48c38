package app.tychon.server.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.server.rights.MembershipEntity;
import app.tychon.server.rights.Role;
import com.fasterxml.jackson.databind.JsonNode;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;

/** What somebody sees of a programme who may not read all of its projects. */
class ProgrammeRightsTest extends PeopledTest {
    private static final Duration PATIENCE = Duration.ofSeconds(60);

    private String centre() throws Exception {
        return answer(as(
                                OWNER,
                                post("/api/projects")
                                        .contentType(MediaType.APPLICATION_JSON)
                                        .content(Files.readAllBytes(
                                                Path.of("..", "examples", "visitor-centre.tychon.json"))))
                        .andExpect(status().isCreated()))
                .get("id")
                .asText();
    }

    private String programme(String who, String... projects) throws Exception {
        StringBuilder members = new StringBuilder();
        for (String project : projects) {
            members.append(members.isEmpty() ? "" : ",")
                    .append("{\"project\":\"")
                    .append(project)
                    .append("\"}");
        }
        return answer(as(
                                who,
                                post("/api/programmes")
                                        .contentType(MediaType.APPLICATION_JSON)
                                        .content("{\"name\":\"Both\",\"projects\":[" + members + "]}"))
                        .andExpect(status().isCreated()))
                .get("id")
                .asText();
    }

    @Test
    void whoeverMayNotReadAProjectSeesWhatItsOwnerLetsOut() throws Exception {
        String ridge = project();
        String centre = centre();
        String both = programme(OWNER, ridge, centre);
        memberships.save(new MembershipEntity(UUID.fromString(both), account(READER), Role.READER));
        // Reads the ridge and the programme, and not the centre.
        as(READER, get("/api/projects/" + both + "/plan"))
                .andExpect(status().isForbidden())
                .andExpect(jsonPath("$.detail", containsString("may not read all projects of this programme")));
        JsonNode seen =
                answer(as(READER, get("/api/projects/" + both + "/programme")).andExpect(status().isOk()));
        assertThat(seen.at("/projects/0/name").asText()).isEqualTo("Kestrel Ridge Observatory");
        assertThat(seen.at("/projects/1").has("name")).isFalse();
        assertThat(seen.at("/projects/1").has("project")).isFalse();
        as(READER, put("/api/projects/" + both + "/programme/projects/" + centre + "/shown?what=milestones"))
                .andExpect(status().isNotFound());
        as(OWNER, put("/api/projects/" + both + "/programme/projects/" + centre + "/shown?what=milestones"))
                .andExpect(status().isOk());
        as(READER, get("/api/projects/" + both + "/programme"))
                .andExpect(jsonPath("$.projects[1].name").value("Visitor centre below the ridge"));
        as(READER, get("/api/projects/" + both + "/plan")).andExpect(status().isForbidden());
        memberships.save(new MembershipEntity(UUID.fromString(centre), account(READER), Role.READER));
        as(READER, get("/api/projects/" + both + "/plan")).andExpect(status().isOk());
    }

    @Test
    void theListTellsOfAProjectWhatItsOwnerLetsOutAndNoMore() throws Exception {
        String ridge = project();
        String centre = centre();
        String both = programme(OWNER, ridge, centre);
        memberships.save(new MembershipEntity(UUID.fromString(both), account(READER), Role.READER));
        await().atMost(PATIENCE)
                .until(() -> standing(OWNER, both), one -> one.get("fresh").asBoolean());
        JsonNode closed = standing(READER, both).at("/parts/1");
        assertThat(closed.fieldNames()).toIterable().containsExactly("code");
        as(OWNER, put("/api/projects/" + both + "/programme/projects/" + centre + "/shown?what=milestones"))
                .andExpect(status().isOk());
        JsonNode told = standing(READER, both).at("/parts/1");
        assertThat(told.get("name").asText()).isEqualTo("Visitor centre below the ridge");
        assertThat(told.has("project")).isFalse();
        assertThat(told.at("/standing/milestones")).isNotEmpty().allSatisfy(one -> {
            assertThat(one.get("name").asText()).isNotEmpty();
            assertThat(one.at("/finish/tenths")).hasSize(11);
            assertThat(one.at("/finish/level").asText())
                    .isGreaterThanOrEqualTo(one.at("/finish/tenths/5").asText());
        });
        assertThat(told.at("/standing").has("driver")).isFalse();
        assertThat(standing(READER, both).at("/standing/milestones")).isEmpty();
        assertThat(standing(READER, both).at("/standing").has("driver"))
                .as("it may come from what is not read")
                .isFalse();
    }

    @Test
    void whatWasConfirmedOfAProgrammeIsThatOfItsProjectsThatOneMayRead() throws Exception {
        String ridge = project();
        String centre = centre();
        String both = programme(OWNER, ridge, centre);
        memberships.save(new MembershipEntity(UUID.fromString(both), account(READER), Role.READER));
        assertThat(standing(OWNER, both).has("confirmed"))
                .as("nobody was asked")
                .isFalse();
        sends(
                        EDITOR,
                        post("/api/projects/" + ridge + "/confirmations"),
                        "{\"email\":\"" + RISK_OWNER + "\",\"about\":[{\"section\":\"risks\",\"key\":\"R06\"}]}")
                .andExpect(status().isOk());
        String asked = answer(as(EDITOR, get("/api/projects/" + ridge + "/confirmations")))
                .at("/0/id")
                .asText();
        sends(RISK_OWNER, put("/api/projects/" + ridge + "/confirmations/" + asked), "{\"holds\":true}")
                .andExpect(status().isOk());
        JsonNode own = standing(OWNER, ridge).get("confirmed");
        JsonNode whole = standing(OWNER, both).get("confirmed");
        assertThat(own.get("confirmedRisks").intValue()).isEqualTo(1);
        assertThat(whole.get("confirmedRisks").intValue()).isEqualTo(1);
        assertThat(whole.get("risks").intValue()).isGreaterThan(own.get("risks").intValue());
        assertThat(whole.get("ranges").intValue())
                .isGreaterThan(own.get("ranges").intValue());
        assertThat(standing(READER, both).get("confirmed"))
                .as("who reads the ridge alone")
                .isEqualTo(own);
    }

    private JsonNode standing(String who, String project) throws Exception {
        for (JsonNode one : answer(as(who, get("/api/standings")).andExpect(status().isOk()))) {
            if (one.get("project").asText().equals(project)) {
                return one;
            }
        }
        throw new AssertionError("not listed");
    }

    @Test
    void aProjectIsTakenInByWhoeverEditsIt() throws Exception {
        String ridge = project();
        String body = "{\"name\":\"Mine\",\"projects\":[{\"project\":\"" + ridge + "\"}]}";
        sends(READER, post("/api/programmes"), body).andExpect(status().isForbidden());
        sends(ADMINISTRATOR, post("/api/programmes"), body).andExpect(status().isNotFound());
        programme(EDITOR, ridge);
    }
}
