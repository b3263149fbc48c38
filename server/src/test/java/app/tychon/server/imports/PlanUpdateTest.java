package app.tychon.server.imports;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.server.ServerTest;
import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.ResultActions;

class PlanUpdateTest extends ServerTest {
    private String project;
    private String table;

    @BeforeEach
    void takeTheDemoOut() throws Exception {
        project = "/api/projects/" + bringIn("kestrel-ridge");
        table = http.perform(get(project + "/schedule.csv"))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8);
    }

    private JsonNode preview(String file) throws Exception {
        return json.readTree(http.perform(post(project + "/update/preview")
                        .contentType("text/csv")
                        .content(file.getBytes(StandardCharsets.UTF_8)))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8));
    }

    private ResultActions update(String file, long revision, String... except) throws Exception {
        return http.perform(multipart(project + "/update")
                .file(new MockMultipartFile("file", "t.csv", "text/csv", file.getBytes(StandardCharsets.UTF_8)))
                .param("except", except)
                .header("If-Match", "\"" + revision + "\""));
    }

    @Test
    void whatWasTakenOutChangesNothing() throws Exception {
        JsonNode same = preview(table);
        assertThat(same.get("rows")).isEmpty();
        assertThat(same.at("/schedule/problemCount").asInt()).isZero();
    }

    @Test
    void aNewerFileIsOneEditThatLeavesOutWhatWasNotAccepted() throws Exception {
        String newer = table.replace(",80d,", ",95d,").replace("Survey the ridge", "Survey all of the ridge");
        JsonNode shown = preview(newer);
        assertThat(shown.get("rows")).hasSize(3);
        assertThat(read(project + "/plan").at("/project/revision").asLong()).isEqualTo(1);
        update(newer, 1, "S10")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.revision").value(2))
                .andExpect(jsonPath("$.undoing.undo").value("Update from a newer file"));
        JsonNode left = preview(newer);
        assertThat(left.get("rows")).hasSize(1);
        assertThat(left.at("/rows/0/fields/0/after").asText()).isEqualTo("Survey all of the ridge");
        http.perform(post(project + "/undo")).andExpect(status().isOk());
        assertThat(preview(table).get("rows")).isEmpty();
    }

    @Test
    void aFileWithProblemsOrForAnOlderPlanChangesNothing() throws Exception {
        String bad = table.replace(",80d,", ",soon,");
        assertThat(preview(bad).at("/schedule/problems/0/message").asText()).contains("\"soon\" is no duration");
        update(bad, 1, "").andExpect(status().isUnprocessableEntity());
        update(table.replace(",80d,", ",95d,"), 7, "").andExpect(status().isConflict());
        http.perform(post(project + "/update/preview").contentType("text/csv").content("%PDF-1.7"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail").value(containsString("Export the table itself")));
        assertThat(read(project + "/plan").at("/project/revision").asLong()).isEqualTo(1);
    }
}
