package app.tychon.server.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.patch;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletResponse;

/** Several people on one project: they see each other, speak, ask and answer. */
class TogetherTest extends PeopledTest {
    private static final Duration PATIENCE = Duration.ofSeconds(10);
    private static final String ABOUT = "{\"section\":\"risks\",\"key\":\"R06\"}";

    private String project;

    @BeforeEach
    void aProject() throws Exception {
        project = "/api/projects/" + project();
    }

    private List<JsonNode> inboxOf(String who) throws Exception {
        List<JsonNode> ofProject = new ArrayList<>();
        answer(as(who, get("/api/me/inbox"))).forEach(notice -> {
            if (project.endsWith(notice.get("project").asText())) {
                ofProject.add(notice);
            }
        });
        return ofProject;
    }

    /** Where people have names, a clash says with whom, and so does the history. */
    @Test
    void whoHasChangedTheSameIsNamed() throws Exception {
        long seen = answer(as(EDITOR, get(project))).get("revision").asLong();
        sends(EDITOR, patch(project + "/rows"), "[{\"id\":\"S40\",\"duration\":\"21d\"}]")
                .andExpect(status().isOk());
        sends(
                        OWNER,
                        patch(project + "/rows").header("If-Match", "\"" + seen + "\""),
                        "[{\"id\":\"S40\",\"duration\":\"23d\"}]")
                .andExpect(status().isConflict())
                .andExpect(jsonPath("$.detail", containsString("changed meanwhile, by Edda Wirth.")))
                .andExpect(jsonPath("$.clashes[0].by").value("Edda Wirth"));
        assertThat(answer(as(OWNER, get(project + "/edits"))).at("/0/name").asText())
                .isEqualTo("Edda Wirth");
    }

    @Test
    void whoeverIsNamedOrAnsweredFindsItInTheirInbox() throws Exception {
        sends(
                        EDITOR,
                        post(project + "/comments"),
                        "{\"about\":" + ABOUT + ",\"words\":\"Is this still so, @Rolf Mahler?\"}")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$[0].by").value("Edda Wirth"));
        JsonNode mention = inboxOf(RISK_OWNER).get(0);
        assertThat(mention.get("kind").asText()).isEqualTo("mention");
        assertThat(mention.get("by").asText()).isEqualTo("Edda Wirth");
        assertThat(mention.at("/about/key").asText()).isEqualTo("R06");
        assertThat(mention.get("read").asBoolean()).isFalse();
        sends(
                        RISK_OWNER,
                        post("/api/me/inbox/read"),
                        "{\"notices\":[\"" + mention.get("id").asText() + "\"]}")
                .andExpect(status().isNoContent());
        assertThat(inboxOf(RISK_OWNER).get(0).get("read").asBoolean()).isTrue();

        String asked =
                answer(as(READER, get(project + "/comments"))).at("/0/id").asText();
        sends(
                        RISK_OWNER,
                        post(project + "/comments"),
                        "{\"about\":" + ABOUT + ",\"answerTo\":\"" + asked + "\",\"words\":\"It is.\"}")
                .andExpect(status().isOk());
        assertThat(inboxOf(EDITOR).get(0).get("kind").asText()).isEqualTo("answer");

        sends(RISK_OWNER, patch(project + "/comments/" + asked), "{\"words\":\"changed\"}")
                .andExpect(status().isForbidden());
        sends(RISK_OWNER, patch(project + "/comments/" + asked), "{\"resolved\":true}")
                .andExpect(jsonPath("$[0].resolvedBy").value("Rolf Mahler"));
        sends(EDITOR, patch(project + "/comments/" + asked), "{\"resolved\":false,\"words\":\"Is it?\"}")
                .andExpect(jsonPath("$[0].words").value("Is it?"))
                .andExpect(jsonPath("$[0].resolvedBy").doesNotExist());
        as(EDITOR, delete(project + "/comments/" + asked)).andExpect(status().isNoContent());
        assertThat(answer(as(READER, get(project + "/comments")))).isEmpty();
    }

    @Test
    void aCommentThatSaysNothingOrIsAboutNothingIsRefused() throws Exception {
        sends(EDITOR, post(project + "/comments"), "{\"about\":" + ABOUT + ",\"words\":\"  \"}")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.problems[0].pointer").value("/words"));
        sends(
                        EDITOR,
                        post(project + "/comments"),
                        "{\"about\":{\"section\":\"risks\",\"key\":\"R99\"},\"words\":\"Hm.\"}")
                .andExpect(status().isNotFound());
        sends(READER, post(project + "/comments"), "{\"about\":" + ABOUT + ",\"words\":\"Hm.\"}")
                .andExpect(status().isForbidden());
    }

    private String ask(String about) throws Exception {
        JsonNode all = answer(sends(
                        EDITOR,
                        post(project + "/confirmations"),
                        "{\"email\":\"" + RISK_OWNER + "\",\"about\":[" + about + "]}")
                .andExpect(status().isOk()));
        return all.at("/0/id").asText();
    }

    private String state() throws Exception {
        return answer(as(READER, get(project + "/confirmations")))
                .at("/0/state")
                .asText();
    }

    @Test
    void aRiskIsConfirmedByItsOwnerAloneAndNoLongerSoOnceItIsChanged() throws Exception {
        String id = ask(ABOUT);
        assertThat(state()).isEqualTo("asked");
        assertThat(inboxOf(RISK_OWNER).get(0).get("kind").asText()).isEqualTo("ask");
        sends(OWNER, put(project + "/confirmations/" + id), "{\"holds\":true}").andExpect(status().isForbidden());
        sends(RISK_OWNER, put(project + "/confirmations/" + id), "{\"holds\":true}")
                .andExpect(status().isOk());
        assertThat(state()).isEqualTo("confirmed");
        assertThat(confirmedInTheList()).isEqualTo(1);
        assertThat(inboxOf(EDITOR).get(0).get("kind").asText()).isEqualTo("confirmed");

        sends(EDITOR, patch(project + "/risks"), "[{\"id\":\"R06\",\"probability\":0.4}]")
                .andExpect(status().isOk());
        assertThat(state()).isEqualTo("stale");
        assertThat(confirmedInTheList()).isZero();
        as(EDITOR, post(project + "/undo")).andExpect(status().isOk());
        assertThat(state()).isEqualTo("confirmed");
        ask(ABOUT);
        assertThat(state()).isEqualTo("asked");
        sends(RISK_OWNER, put(project + "/confirmations/" + id), "{\"holds\":false,\"note\":\"Rather one in three.\"}")
                .andExpect(jsonPath("$[0].note").value("Rather one in three."));
        assertThat(state()).isEqualTo("declined");
    }

    /** Risks of the project that the list of all says were confirmed. */
    private int confirmedInTheList() throws Exception {
        JsonNode listed = answer(as(READER, get("/api/standings")).andExpect(status().isOk()));
        return StreamSupport.stream(listed.spliterator(), false)
                .filter(one -> project.endsWith(one.get("project").asText()))
                .mapToInt(one -> one.at("/confirmed/confirmedRisks").intValue())
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aRangeStaysConfirmedWhateverElseOfItsRowIsChanged() throws Exception {
        String id = ask("{\"section\":\"ranges\",\"key\":\"S20\"}");
        sends(RISK_OWNER, put(project + "/confirmations/" + id), "{\"holds\":true}")
                .andExpect(status().isOk());
        sends(EDITOR, patch(project + "/rows"), "[{\"id\":\"S20\",\"name\":\"The permit\"}]")
                .andExpect(status().isOk());
        assertThat(state()).isEqualTo("confirmed");
        sends(EDITOR, patch(project + "/rows"), "[{\"id\":\"S20\",\"duration\":\"81d\"}]")
                .andExpect(status().isOk());
        assertThat(state()).isEqualTo("stale");
    }

    @Test
    void nobodyIsAskedWhoTakesNoPart() throws Exception {
        sends(
                        EDITOR,
                        post(project + "/confirmations"),
                        "{\"email\":\"" + ADMINISTRATOR + "\",\"about\":[" + ABOUT + "]}")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail", containsString("takes part in this project")));
    }

    @Test
    void oneSeesWhoElseIsHereWhereAndWhatTheyEdit() throws Exception {
        MockHttpServletResponse heard =
                as(READER, get(project + "/events?window=r1")).andReturn().getResponse();
        as(EDITOR, get(project + "/events?window=e1"));
        sends(EDITOR, post(project + "/presence"), "{\"window\":\"e1\",\"stage\":\"risks\",\"row\":\"R06\"}")
                .andExpect(status().isNoContent());
        sends(EDITOR, patch(project + "/rows"), "[{\"id\":\"S40\",\"duration\":\"50d\"}]")
                .andExpect(status().isOk());
        await().atMost(PATIENCE).untilAsserted(() -> assertThat(heard.getContentAsString())
                .contains("\"name\":\"Edda Wirth\",\"stage\":\"risks\",\"row\":\"R06\"")
                .contains("event:edit")
                .contains("[\"activities\",\"S40\"]"));
        // Nobody says where somebody else is.
        sends(READER, post(project + "/presence"), "{\"window\":\"e1\",\"stage\":\"plan\",\"row\":\"S99\"}");
        assertThat(heard.getContentAsString()).doesNotContain("S99");
    }

    @Test
    void whoeverIsTakenOutHearsNothingMore() throws Exception {
        MockHttpServletResponse heard =
                as(READER, get(project + "/events?window=r2")).andReturn().getResponse();
        as(OWNER, delete(project + "/members/" + account(READER))).andExpect(status().isOk());
        sends(EDITOR, patch(project + "/rows"), "[{\"id\":\"S40\",\"duration\":\"50d\"}]")
                .andExpect(status().isOk());
        assertThat(heard.getContentAsString()).contains("event:standing").doesNotContain("event:edit");
    }
}
