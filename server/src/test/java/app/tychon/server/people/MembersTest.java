package app.tychon.server.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.patch;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.ResultActions;

/** Who takes part in a project, what each may do in it, and what is told of who did what. */
class MembersTest extends PeopledTest {
    private String project;

    @BeforeEach
    void aProject() throws Exception {
        project = "/api/projects/" + project();
    }

    private ResultActions edit(String who, String part, String body) throws Exception {
        return as(
                who,
                patch(project + part).contentType(MediaType.APPLICATION_JSON).content(body));
    }

    @Test
    void aRiskOwnerKeepsTheirOwnRisksAndNoOthers() throws Exception {
        edit(RISK_OWNER, "/risks", "[{\"id\":\"R06\",\"probability\":0.15}]").andExpect(status().isOk());
        edit(RISK_OWNER, "/risks", "[{\"id\":\"R06\",\"probability\":0.2},{\"id\":\"R01\",\"probability\":0.2}]")
                .andExpect(status().isForbidden())
                .andExpect(jsonPath("$.detail", containsString("Risk R01 is owned by")));
        edit(RISK_OWNER, "/risks", "[{\"id\":\"R06\",\"owner\":\"Somebody\"}]").andExpect(status().isForbidden());
        edit(RISK_OWNER, "/risks", "[{\"id\":\"\",\"add\":true}]").andExpect(status().isForbidden());
        edit(RISK_OWNER, "/rows", "[{\"id\":\"S40\",\"duration\":\"9d\"}]").andExpect(status().isForbidden());
        JsonNode risks = answer(as(READER, get(project + "/risks"))).get("risks");
        for (JsonNode risk : risks) {
            if (risk.get("id").asText().equals("R06")) {
                assertThat(risk.toString()).contains("0.15").contains("Logistics lead");
            }
        }
        as(RISK_OWNER, post(project + "/undo")).andExpect(status().isOk());
    }

    @Test
    void whatSomebodyCallsThemselvesGivesThemNoOtherRisks() throws Exception {
        as(
                        OWNER,
                        put(project + "/members")
                                .contentType(MediaType.APPLICATION_JSON)
                                .content("{\"email\":\"" + READER + "\",\"role\":\"risk-owner\"}"))
                .andExpect(status().isOk());
        as(READER, patch("/api/me").contentType(MediaType.APPLICATION_JSON).content("{\"name\":\"Permits lead\"}"))
                .andExpect(status().isNoContent());
        edit(READER, "/risks", "[{\"id\":\"R01\",\"probability\":0.9}]").andExpect(status().isForbidden());
        as(READER, patch("/api/me").contentType(MediaType.APPLICATION_JSON).content("{\"name\":\"Rhea Lund\"}"))
                .andExpect(status().isNoContent());
    }

    @Test
    void runsOfOtherProjectsAreNotReadByNamingThemBesideOnesOwn() throws Exception {
        String own = run(project);
        String others = "/api/projects/" + project();
        String secret = run(others);
        as(OWNER, delete(others + "/members/" + account(READER))).andExpect(status().isOk());
        for (String address : new String[] {
            project + "/since?from=" + secret,
            project + "/since?from=" + own + "&to=" + secret,
            "/api/runs/" + own + "/changes?to=" + secret,
            "/api/runs/" + own + "/drivers/changes?from=" + secret
        }) {
            as(READER, get(address)).andExpect(status().isNotFound());
        }
        as(READER, get(project + "/since?from=" + own)).andExpect(status().isOk());
    }

    private String run(String of) throws Exception {
        return answer(as(
                        EDITOR,
                        post(of + "/runs")
                                .contentType(MediaType.APPLICATION_JSON)
                                .content("{\"iterations\":500,\"seed\":1}")))
                .get("id")
                .asText();
    }

    @Test
    void whoeverLooksAfterPeopleGetsWhatNobodyOwnsAnyMore() throws Exception {
        String email = "leaver" + System.nanoTime() + "@ridge.example";
        people.add(email, "Lea Leaver", false);
        as(
                OWNER,
                put(project + "/members")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("{\"email\":\"" + email + "\",\"role\":\"owner\"}"));
        as(OWNER, delete(project + "/membership")).andExpect(status().isNoContent());
        people.remove(account(email));
        as(ADMINISTRATOR, get(project)).andExpect(status().isOk());
    }

    @Test
    void projectsAreListedForThoseWhoTakePartAlone() throws Exception {
        assertThat(answer(as(READER, get("/api/projects"))).toString()).contains(project.substring(14));
        assertThat(answer(as(ADMINISTRATOR, get("/api/projects"))).toString()).doesNotContain(project.substring(14));
        as(ADMINISTRATOR, get(project))
                .andExpect(status().isNotFound())
                .andExpect(jsonPath("$.detail").value("There is no such project."));
    }

    /** What may not be known of is answered as what is not there, in the same words. */
    @Test
    void aRunOfAnotherProjectIsAnsweredAsOneThatIsNotThere() throws Exception {
        String run = answer(as(
                                OWNER,
                                post(project + "/runs")
                                        .contentType(MediaType.APPLICATION_JSON)
                                        .content("{\"iterations\":500}"))
                        .andExpect(status().isAccepted()))
                .get("id")
                .asText();
        String nowhere = "01a20000-0000-7000-8000-000000000000";
        for (String path : List.of("", "/dates", "/drivers", "/costs/flow", "/iterations.csv")) {
            String there = told("/api/runs/" + run + path).replace(run, nowhere);
            assertThat(there).isEqualTo(told("/api/runs/" + nowhere + path)).contains("There is no such run.");
        }
    }

    private String told(String address) throws Exception {
        return as(ADMINISTRATOR, get(address))
                .andExpect(status().isNotFound())
                .andReturn()
                .getResponse()
                .getContentAsString();
    }

    @Test
    void peopleAreTakenInAndOutAndAProjectKeepsAnOwner() throws Exception {
        String members = project + "/members";
        as(
                        OWNER,
                        put(members)
                                .contentType(MediaType.APPLICATION_JSON)
                                .content("{\"email\":\"" + ADMINISTRATOR + "\",\"role\":\"reader\"}"))
                .andExpect(status().isOk());
        as(ADMINISTRATOR, get(project)).andExpect(status().isOk());
        as(
                        OWNER,
                        put(members)
                                .contentType(MediaType.APPLICATION_JSON)
                                .content("{\"email\":\"nobody@ridge.example\",\"role\":\"reader\"}"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.problems[0].pointer").value("/email"));
        as(OWNER, delete(project + "/membership")).andExpect(status().isConflict());
        as(
                        OWNER,
                        put(members)
                                .contentType(MediaType.APPLICATION_JSON)
                                .content("{\"email\":\"" + EDITOR + "\",\"role\":\"owner\"}"))
                .andExpect(status().isOk());
        as(OWNER, delete(project + "/membership")).andExpect(status().isNoContent());
        as(OWNER, get(project)).andExpect(status().isNotFound());
        as(EDITOR, delete(members + "/" + account(ADMINISTRATOR))).andExpect(status().isOk());
        as(ADMINISTRATOR, get(project)).andExpect(status().isNotFound());
    }

    @Test
    void aScenarioIsWorkedInWithTheRightsOfItsProject() throws Exception {
        String place = "/api/projects/"
                + answer(as(READER, post(project + "/scenarios/V1/enter")))
                        .get("id")
                        .asText();
        as(READER, get(place + "/plan")).andExpect(status().isOk());
        String edit = "[{\"id\":\"S40\",\"duration\":\"44d\"}]";
        as(
                        READER,
                        patch(place + "/rows")
                                .contentType(MediaType.APPLICATION_JSON)
                                .content(edit))
                .andExpect(status().isForbidden());
        as(
                        EDITOR,
                        patch(place + "/rows")
                                .contentType(MediaType.APPLICATION_JSON)
                                .content(edit))
                .andExpect(status().isOk());
        as(ADMINISTRATOR, get(place + "/plan")).andExpect(status().isNotFound());
    }

    @Test
    void theHistorySaysWhoDidWhatByPersonAndObjectAndLeadsBackToAnyState() throws Exception {
        edit(OWNER, "/rows", "[{\"id\":\"S40\",\"duration\":\"41d\"}]").andExpect(status().isOk());
        JsonNode before = answer(as(READER, get(project + "/file")));
        edit(EDITOR, "/rows", "[{\"id\":\"S40\",\"duration\":\"50d\"}]").andExpect(status().isOk());
        edit(RISK_OWNER, "/risks", "[{\"id\":\"R06\",\"probability\":0.5}]").andExpect(status().isOk());
        edit(EDITOR, "/rows", "[{\"id\":\"S50\",\"duration\":\"9d\"}]").andExpect(status().isOk());

        JsonNode all = answer(as(READER, get(project + "/edits")));
        assertThat(all.findValuesAsText("name"))
                .containsExactly("Edda Wirth", "Rolf Mahler", "Edda Wirth", "Olga Frey");
        JsonNode editors = answer(as(READER, get(project + "/edits?person=" + account(EDITOR))));
        assertThat(editors.findValuesAsText("revision")).containsExactly("5", "3");
        JsonNode ofOne = answer(as(READER, get(project + "/edits?section=activities&key=S40")));
        assertThat(ofOne.findValuesAsText("name")).containsExactly("Edda Wirth", "Olga Frey");

        as(READER, post(project + "/edits/2/back")).andExpect(status().isForbidden());
        as(EDITOR, post(project + "/edits/2/back")).andExpect(status().isOk());
        assertThat(answer(as(READER, get(project + "/file")))).isEqualTo(before);
        // It is an edit like any other.
        as(EDITOR, post(project + "/undo")).andExpect(status().isOk());
        assertThat(answer(as(READER, get(project + "/file"))).toString()).contains("\"50d\"");
    }
}
