package app.tychon.server.programmes;

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

import app.tychon.server.ServerTest;
import com.fasterxml.jackson.databind.JsonNode;
import java.time.Duration;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.AbstractMockHttpServletRequestBuilder;

class ProgrammesTest extends ServerTest {
    private static final Duration PATIENCE = Duration.ofSeconds(30);
    private static final String ROAD =
            "{\"kind\":\"logic\",\"id\":\"T1\",\"from\":\"KR:S50\",\"to\":\"VC:V26\",\"type\":\"FS\",\"lag\":\"0d\"}";

    private String ridge;
    private String centre;

    @BeforeEach
    void twoProjects() throws Exception {
        ridge = bringIn("kestrel-ridge");
        centre = bringIn("visitor-centre");
    }

    private ResultActions send(AbstractMockHttpServletRequestBuilder<?> request, String body) throws Exception {
        return http.perform(request.contentType(MediaType.APPLICATION_JSON).content(body));
    }

    private String programme() throws Exception {
        return json.readTree(send(
                                post("/api/programmes"),
                                "{\"name\":\"Ridge programme\",\"projects\":[{\"project\":\"" + ridge
                                        + "\",\"code\":\"KR\"},{\"project\":\"" + centre + "\",\"code\":\"VC\"}]}")
                        .andExpect(status().isCreated())
                        .andExpect(jsonPath("$.programme").value(true))
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .get("id")
                .asText();
    }

    private String at(String programme) {
        return "/api/projects/" + programme + "/programme";
    }

    private JsonNode row(String project, String id) throws Exception {
        for (JsonNode row : read("/api/projects/" + project + "/plan").get("activities")) {
            if (row.get("id").asText().equals(id)) {
                return row;
            }
        }
        throw new AssertionError("no " + id);
    }

    private void edit(String project, String row, String duration) throws Exception {
        send(
                        patch("/api/projects/" + project + "/rows"),
                        "[{\"id\":\"" + row + "\",\"duration\":\"" + duration + "\"}]")
                .andExpect(status().isOk());
    }

    @Test
    void aProgrammeIsThePlanOfItsProjectsAndFollowsThem() throws Exception {
        String programme = programme();
        assertThat(row(programme, "VC:V26").get("duration").asText()).isEqualTo("4d");
        send(put(at(programme) + "/ties"), ROAD)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.names['KR:S50']").value("Culverts and road surface"));
        String start = row(programme, "VC:V26").get("start").asText();
        edit(ridge, "S50", "150d");
        await().atMost(PATIENCE).untilAsserted(() -> assertThat(
                        row(programme, "VC:V26").get("start").asText())
                .isGreaterThan(start));
        assertThat(row(centre, "V26").get("start").asText())
                .as("the project by itself knows nothing of the tie")
                .isLessThan(row(programme, "VC:V26").get("start").asText());
    }

    @Test
    void whatItsProjectsSayIsEditedThereAndItsOwnScenariosAndTargetsHere() throws Exception {
        String programme = programme();
        send(patch("/api/projects/" + programme + "/rows"), "[{\"id\":\"KR:S50\",\"duration\":\"9d\"}]")
                .andExpect(status().isConflict())
                .andExpect(jsonPath("$.detail", containsString("edited in its projects")));
        send(patch("/api/projects/" + programme + "/settings"), "{\"start\":\"2027-01-04\"}")
                .andExpect(status().isConflict());
        send(
                        patch("/api/projects/" + programme + "/settings"),
                        "{\"targetFinish\":\"2028-12-01\",\"targetCost\":6900000}")
                .andExpect(status().isOk());
        send(
                        patch("/api/projects/" + programme + "/scenarios"),
                        "[{\"id\":\"\",\"add\":true,\"name\":\"No winter\",\"risks\":{\"KR:R12\":\"off\"}}]")
                .andExpect(status().isOk());
        edit(centre, "V34", "40d");
        await().atMost(PATIENCE)
                .until(() -> row(programme, "VC:V34").get("duration").asText().equals("40d"));
        JsonNode plan = read("/api/projects/" + programme + "/plan");
        assertThat(plan.at("/project/targetCost").asDouble()).isEqualTo(6_900_000);
        assertThat(plan.at("/project/name").asText()).isEqualTo("Ridge programme");
        http.perform(get("/api/projects/" + programme + "/scenarios"))
                .andExpect(jsonPath("$.rows[?(@.name == 'No winter')]").isNotEmpty());
    }

    @Test
    void moneyThatBecomesAvailableFollowsToo() throws Exception {
        String programme = programme();
        String plan = "/api/projects/" + programme + "/file";
        assertThat(read(plan).get("funding")).isNotEmpty();
        send(put("/api/projects/" + ridge + "/funding"), "[]").andExpect(status().isOk());
        await().atMost(PATIENCE).until(() -> !read(plan).has("funding"));
    }

    @Test
    void aLoopThroughProjectsIsRefusedWithItsRowsAndNothingIsKept() throws Exception {
        String programme = programme();
        send(put(at(programme) + "/ties"), ROAD).andExpect(status().isOk());
        send(put(at(programme) + "/ties"), "{\"kind\":\"logic\",\"id\":\"T2\",\"from\":\"VC:V28\",\"to\":\"KR:S40\"}")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail", containsString("KR:S40")))
                .andExpect(jsonPath("$.detail", containsString("VC:V26")));
        http.perform(get(at(programme))).andExpect(jsonPath("$.ties.length()").value(1));
        send(put(at(programme) + "/ties"), "{\"kind\":\"logic\",\"id\":\"T3\",\"from\":\"KR:S50\",\"to\":\"VC:V99\"}")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.problems[0].pointer").value("/to"))
                .andExpect(jsonPath("$.problems[0].message").value("there is no activity \"VC:V99\""));
    }

    @Test
    void aProjectIsInAProgrammeOnceAndStaysWhileItIsTied() throws Exception {
        String programme = programme();
        send(put(at(programme) + "/ties"), ROAD).andExpect(status().isOk());
        send(post(at(programme) + "/projects"), "{\"project\":\"" + centre + "\"}")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.problems[0].message", containsString("part of this programme already")));
        send(post(at(programme) + "/projects"), "{\"project\":\"" + programme + "\"}")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.problems[0].message", containsString("is a programme itself")));
        http.perform(delete(at(programme) + "/projects/" + centre))
                .andExpect(status().isConflict())
                .andExpect(jsonPath("$.detail", containsString("tied to others by T1")));
        http.perform(delete("/api/projects/" + centre))
                .andExpect(status().isConflict())
                .andExpect(jsonPath("$.detail", containsString("part of the programme Ridge programme")));
        http.perform(delete(at(programme) + "/ties/T1")).andExpect(status().isOk());
        http.perform(delete(at(programme) + "/projects/" + centre))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.projects.length()").value(1));
        http.perform(delete("/api/projects/" + centre)).andExpect(status().isNoContent());
        http.perform(delete(at(programme) + "/projects/" + ridge)).andExpect(status().isConflict());
    }

    @Test
    void aSecondProjectOfTheSameRowsIsGivenRandomNumbersOfItsOwn() throws Exception {
        String programme = programme();
        String twin = bringIn("kestrel-ridge");
        send(post(at(programme) + "/projects"), "{\"project\":\"" + twin + "\",\"code\":\"K2\"}")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.projects[2].code").value("K2"));
        JsonNode file = read("/api/projects/" + twin + "/file");
        assertThat(file.at("/project/draws").asText()).isEqualTo("kestrel-ridge/");
        assertThat(read("/api/projects/" + ridge + "/file").at("/project").has("draws"))
                .isFalse();
    }

    @Test
    void aTieWhoseRowIsGoneBindsNothingAndIsToldSo() throws Exception {
        String programme = programme();
        send(put(at(programme) + "/ties"), ROAD).andExpect(status().isOk());
        send(post("/api/projects/" + ridge + "/rows/remove"), "{\"rows\":[\"S50\"],\"join\":true}")
                .andExpect(status().isOk());
        await().atMost(PATIENCE).until(() -> read(at(programme)).at("/ties/0").has("idle"));
        assertThat(read(at(programme)).at("/ties/0/idle").asText()).isEqualTo("there is no activity \"KR:S50\"");
    }

    @Test
    void itGoesOutAsAFileThatNamesItsProjectsAndComesInAgain() throws Exception {
        String programme = programme();
        send(put(at(programme) + "/ties"), ROAD).andExpect(status().isOk());
        String file = http.perform(get(at(programme) + "/file"))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(json.readTree(file).at("/projects/1/file").asText()).isEqualTo("visitor-centre.tychon.json");
        assertThat(json.readTree(file).at("/programme/currency").asText()).isEqualTo("EUR");
        file = file.replace("\"id\" : \"programme\"", "\"id\" : \"two\"");
        String again = json.readTree(send(post("/api/programmes/file"), file)
                        .andExpect(status().isCreated())
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .get("id")
                .asText();
        assertThat(http.perform(get(at(again) + "/file"))
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .isEqualTo(file);
        send(post("/api/programmes/file"), file.replace("visitor-centre.tychon", "nowhere.tychon"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.problems[0].pointer").value("/projects/1/file"));
    }

    @Test
    void theListSaysWhereAllStandAndWhatATieCosts() throws Exception {
        send(patch("/api/projects/" + centre + "/settings"), "{\"confidence\":50}")
                .andExpect(status().isOk());
        String programme = programme();
        send(put(at(programme) + "/ties"), ROAD).andExpect(status().isOk());
        JsonNode standing = await().atMost(PATIENCE.multipliedBy(2))
                .until(() -> standing(programme), one -> one.get("fresh").asBoolean());
        assertThat(standing.at("/standing/finish/tenths").size()).isEqualTo(11);
        assertThat(standing.at("/parts/1/name").asText()).isEqualTo("Visitor centre below the ridge");
        assertThat(standing.at("/parts/1/standing/finish/chance").asDouble()).isBetween(0.0, 1.0);
        assertThat(standing.at("/standing/driver").asText()).isNotEmpty();
        // Each by the level of its own project, not the programme's.
        assertThat(standing.at("/parts/1/standing/confidence").asInt()).isEqualTo(50);
        assertThat(standing.at("/parts/1/standing/milestones"))
                .isNotEmpty()
                .allSatisfy(one -> assertThat(one.at("/finish/level")).isEqualTo(one.at("/finish/tenths/5")));
        JsonNode worth = read(at(programme) + "/ties/worth").get(0);
        assertThat(worth.get("moves").asText()).isEqualTo("VC");
        assertThat(worth.get("days").asDouble()).isPositive();

        // One that puts off nothing leaves the plan as it is, and is told of all the same.
        send(
                        put(at(programme) + "/ties"),
                        "{\"kind\":\"resource\",\"id\":\"T2\",\"name\":\"Crew\","
                                + "\"resources\":[\"KR:crew\",\"VC:crew\"],\"limit\":2}")
                .andExpect(status().isOk());
        JsonNode worths = read(at(programme) + "/ties/worth");
        assertThat(worths).hasSize(2);
        assertThat(worths.at("/1/overbooked").asDouble()).isBetween(0.0, 1.0);
    }

    private JsonNode standing(String project) throws Exception {
        for (JsonNode one : read("/api/standings")) {
            if (one.get("project").asText().equals(project)) {
                return one;
            }
        }
        throw new AssertionError("not listed");
    }
}
