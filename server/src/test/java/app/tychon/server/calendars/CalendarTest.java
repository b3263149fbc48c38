package app.tychon.server.calendars;

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
import com.fasterxml.jackson.databind.node.ObjectNode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;

class CalendarTest extends ServerTest {
    private String calendars;

    @BeforeEach
    void bringInTheDemo() throws Exception {
        calendars = "/api/projects/" + bringIn("kestrel-ridge") + "/calendars";
    }

    @Test
    void whatIsReadCanBeKeptAgainUnchanged() throws Exception {
        JsonNode before = read(calendars);
        assertThat(before.at("/0/week/mon/0/0").asText()).isEqualTo("08:00");
        http.perform(put(calendars)
                        .contentType(MediaType.APPLICATION_JSON)
                        .content(before.get(0).toString()))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.revision").value(1));
        assertThat(read(calendars)).isEqualTo(before);
    }

    @Test
    void daysOffGoOutAndComeInAsICalendar() throws Exception {
        JsonNode first = read(calendars).get(0);
        String file = http.perform(get(calendars + "/" + first.get("id").asText() + "/file"))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        String days = http.perform(post(calendars + "/holidays")
                        .contentType("text/calendar")
                        .content(file))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(json.readTree(days)).isEqualTo(first.get("exceptions"));
        http.perform(post(calendars + "/holidays").contentType("text/calendar").content("none"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail").value(containsString("iCalendar")));
    }

    @Test
    void aCalendarInUseIsNotRemoved() throws Exception {
        JsonNode all = read(calendars);
        http.perform(delete(calendars + "/" + all.get(0).get("id").asText()))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail").value(containsString("the calendar of the project")));
        http.perform(delete(calendars + "/" + all.get(1).get("id").asText()))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail").value(containsString("give them another calendar first")));
        ObjectNode spare = all.get(0).deepCopy();
        spare.put("id", "spare");
        http.perform(put(calendars).contentType(MediaType.APPLICATION_JSON).content(spare.toString()))
                .andExpect(status().isOk());
        http.perform(delete(calendars + "/spare")).andExpect(status().isOk());
        assertThat(read(calendars)).hasSize(2);
    }
}
