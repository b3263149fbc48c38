package app.tychon.server.imports;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.server.ServerTest;
import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.ResultActions;

class ScheduleImportTest extends ServerTest {
    private static final String SCHEDULE = "Nr;Task;Dur;After;Wo\n1;Räumen;5;;Platz\n2;Graben;10;1FS+1d;Platz/Grube\n";

    private ResultActions send(String address, String table) throws Exception {
        return http.perform(post(address).contentType("text/csv").content(table.getBytes(StandardCharsets.UTF_8)));
    }

    private JsonNode preview(String query, String table) throws Exception {
        String body = send("/api/schedules/preview?" + query, table)
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8);
        return json.readTree(body);
    }

    @Test
    void aTableIsShownAsWhatItWouldBecomeAndNothingIsKept() throws Exception {
        int before = read("/api/projects").size();
        JsonNode shown = preview("start=2027-03-01", SCHEDULE);
        assertThat(shown.at("/columns/1/meaning").asText()).isEqualTo("name");
        assertThat(shown.at("/columns/3/meaning").asText()).isEqualTo("predecessors");
        assertThat(shown.at("/columns/4").has("meaning")).isFalse();
        assertThat(shown.at("/sample/1/cells/1").asText()).isEqualTo("Graben");
        assertThat(shown.at("/activities").asInt()).isEqualTo(2);
        assertThat(shown.at("/links").asInt()).isEqualTo(1);
        assertThat(shown.at("/finish").asText()).isEqualTo("2027-03-22T17:00:00");
        assertThat(read("/api/projects")).hasSize(before);
    }

    @Test
    void columnsCanBeSaidAndTheScheduleTakenOver() throws Exception {
        String columns = "columns=id,name,duration,predecessors,wbs";
        String body = send("/api/schedules?start=2027-03-01&name=Grube&" + columns, SCHEDULE)
                .andExpect(status().isCreated())
                .andReturn()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8);
        JsonNode plan = read("/api/projects/" + json.readTree(body).get("id").asText() + "/plan");
        assertThat(plan.at("/project/name").asText()).isEqualTo("Grube");
        assertThat(plan.at("/branches/1/name").asText()).isEqualTo("Grube");
        assertThat(plan.at("/activities/1/finish").asText()).isEqualTo("2027-03-22T17:00:00");
    }

    @Test
    void problemsAreToldByRowAndColumnAndNothingIsKept() throws Exception {
        String bad = "id,name,duration,predecessors\nA,,soon,\nB,b,3,Q\n";
        JsonNode shown = preview("start=2027-03-01", bad);
        assertThat(shown.at("/problemCount").asInt()).isEqualTo(3);
        assertThat(shown.at("/problems/0/row").asInt()).isEqualTo(2);
        assertThat(shown.has("finish")).isFalse();
        int before = read("/api/projects").size();
        send("/api/schedules?start=2027-03-01&name=x", bad)
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.problems[0].pointer").value("row 2, name"));
        send("/api/schedules?start=2027-03-01&name= ", SCHEDULE)
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.problems[0].message").value("the project needs a name"));
        assertThat(read("/api/projects")).hasSize(before);
    }

    @Test
    void whatIsNoTableIsRefusedWithASentence() throws Exception {
        send("/api/schedules/preview?start=2027-03-01", "")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail").value(containsString("empty")));
        send("/api/schedules/preview?start=2027-03-01&columns=id,colour", SCHEDULE)
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail").value(containsString("not \"colour\"")));
    }

    @Test
    void withoutAFirstDayTheEarliestStartOfTheTableIsIt() throws Exception {
        JsonNode shown = preview("", "Id,Name,Duration,Start\nA,Dig,5d,2027-03-08\nB,Pour,2d,2027-03-15\n");
        assertThat(shown.at("/firstDay").asText()).isEqualTo("2027-03-08");
        assertThat(shown.at("/finish").asText()).isEqualTo("2027-03-12T17:00:00");
    }

    @Test
    void badCellsAreMendedWithoutTouchingTheFile() throws Exception {
        String table = "Id,Name,Duration\nA,Dig,soon\nB,Pour,2d\n";
        assertThat(preview("start=2027-03-01", table).at("/problemCount").asInt())
                .isEqualTo(1);
        JsonNode shown = preview("start=2027-03-01&mended=2:2:5d", table);
        assertThat(shown.at("/problemCount").asInt()).isZero();
        assertThat(shown.at("/finish").asText()).isEqualTo("2027-03-05T17:00:00");
        send("/api/schedules/preview?start=2027-03-01&mended=2:9:5d", table)
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail", containsString("names no cell")));
    }
}
