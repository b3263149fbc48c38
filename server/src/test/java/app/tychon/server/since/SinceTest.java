package app.tychon.server.since;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.patch;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.server.RunningTest;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** How the forecast of the demo drifts, and how good its ranges turn out to be. */
class SinceTest extends RunningTest {
    private static final String SETTINGS = "{\"iterations\":1000,\"seed\":7}";

    private String project;

    @BeforeEach
    void bringInTheDemo() throws Exception {
        project = bringIn("kestrel-ridge");
    }

    private String at(String path) {
        return "/api/projects/" + project + path;
    }

    private JsonNode accepted(MockHttpServletRequestBuilder request, String body) throws Exception {
        return json.readTree(
                http.perform(request.contentType(MediaType.APPLICATION_JSON).content(body))
                        .andExpect(status().isOk())
                        .andReturn()
                        .getResponse()
                        .getContentAsString());
    }

    private String record() throws Exception {
        String run = begin(project, SETTINGS);
        ended(run);
        return run;
    }

    @Test
    void theForecastDriftsFromRunToRunAndWhatMovedItAddsUp() throws Exception {
        String first = record();
        accepted(patch(at("/rows")), "[{\"id\":\"I20\",\"duration\":\"35d\"}]");
        accepted(patch(at("/risks")), "[{\"id\":\"R03\",\"state\":\"closed\",\"closedBecause\":\"Fenced\"}]");
        String second = record();
        accepted(patch(at("/settings")), "{\"dataDate\":\"2027-03-25\"}");
        accepted(
                patch(at("/rows")),
                "[{\"id\":\"S10\",\"actualStart\":\"2027-03-01T08:00\",\"actualFinish\":\"2027-03-24T17:00\"}]");
        String third = record();

        JsonNode points = read(at("/drift")).get("points");
        assertThat(points.size()).isEqualTo(3);
        assertThat(points.findValuesAsText("run")).containsExactly(first, second, third);
        assertThat(points.get(0).get("finishHalf").asText())
                .isLessThan(points.get(0).get("finishLevel").asText());
        assertThat(points.get(2).get("dataDate").asText()).startsWith("2027-03-25");
        assertThat(points.get(0).get("costLevel").asDouble()).isGreaterThan(4_000_000);

        JsonNode steps =
                read("/api/runs/" + second + "/drivers/changes?from=" + first).get("steps");
        Map<String, Double> days = new HashMap<>();
        steps.forEach(
                step -> days.put(step.get("kind").asText(), step.get("days").asDouble()));
        assertThat(days.get("logic")).isPositive();
        assertThat(days.get("risks")).isNegative();
        assertThat(days.get("responses")).isZero();
        assertThat(steps.get(steps.size() - 1).get("finish").asText().substring(0, 16))
                .isEqualTo(points.get(1).get("finishLevel").asText().substring(0, 16));

        JsonNode since = read(at("/since?from=" + first + "&to=" + second));
        assertThat(since.findValuesAsText("kind")).containsExactlyInAnyOrder("logic", "risks");
        assertThat(since.get(0).at("/fields/0/before").asText()).isEqualTo("15d");
        assertThat(since.get(0).at("/fields/0/after").asText()).isEqualTo("35d");
        assertThat(since.get(0).get("own").asBoolean()).isTrue();
        assertThat(since.get(0).has("at")).isTrue();
        JsonNode progress = read(at("/since?from=" + second));
        assertThat(progress.findValuesAsText("kind")).containsOnly("progress");
        assertThat(progress.findValuesAsText("key")).containsExactlyInAnyOrder("S10", "project");
    }

    @Test
    void rangesAreHeldAgainstWhatReallyHappenedAndAGradeIsWidenedAsAScenario() throws Exception {
        assertThat(read(at("/record")).at("/all/count").asInt()).isZero();
        // Ten pieces of work of a grade, each a half longer than planned.
        accepted(patch(at("/rows")), ofTen("\"estimate\":null,\"grade\":\"open\""));
        accepted(patch(at("/settings")), "{\"dataDate\":\"2027-09-01\"}");
        accepted(
                patch(at("/rows")),
                ofTen("\"actualStart\":\"2027-03-01T08:00\",\"actualFinish\":\"2027-03-30T17:00\""));
        JsonNode record = read(at("/record"));
        assertThat(record.at("/all/count").asInt()).isEqualTo(8);
        int sum = 0;
        for (String part : List.of("under20", "to50", "to80", "beyond80")) {
            sum += record.at("/all/" + part).asInt();
        }
        assertThat(sum).isEqualTo(8);
        assertThat(record.at("/all/beyond80").asInt()).isGreaterThan(4);
        assertThat(record.at("/all/chance80").asDouble()).isLessThan(0.1);
        assertThat(record.get("groups").findValuesAsText("by")).contains("grade", "branch");
        JsonNode wider = record.get("wider").get(0);
        assertThat(wider.get("id").asText()).isEqualTo("open");
        assertThat(wider.get("widerHigh").asDouble())
                .isGreaterThan(wider.get("high").asDouble());
        assertThat(record.at("/facts/0/actual").asDouble()).isCloseTo(22, within(8.0));

        // A range that is typed once the outcome is known changes nothing of that, nor does one typed with it.
        JsonNode facts = record.get("facts");
        accepted(
                patch(at("/rows")),
                ofTen("\"estimate\":{\"shape\":\"uniform\",\"low\":15,\"high\":30,\"basis\":\"days\"}"));
        assertThat(read(at("/record")).get("facts")).isEqualTo(facts);
        accepted(
                patch(at("/rows")),
                "[{\"id\":\"M40\",\"estimate\":{\"shape\":\"uniform\",\"low\":1,\"high\":900,\"basis\":\"days\"},"
                        + "\"actualStart\":\"2027-03-01T08:00\",\"actualFinish\":\"2027-03-30T17:00\"}]");
        assertThat(read(at("/record")).at("/facts").findValuesAsText("chance"))
                .as("22 of 1 to 900 days would be the 2nd percentile")
                .doesNotContain(String.valueOf(21 / 899.0));

        accepted(post(at("/record/widen")), "{\"grade\":\"open\",\"scenario\":\"V9\",\"name\":\"Wider\"}");
        JsonNode look = read(at("/scenarios/V9/takeover"));
        assertThat(look.get("changes").findValuesAsText("key")).containsExactly("open");
        http.perform(post(at("/record/widen"))
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("{\"grade\":\"none\",\"scenario\":\"V10\",\"name\":\"Wider still\"}"))
                .andExpect(status().isUnprocessableEntity());
    }

    /** Ten pieces of work with something said of each. */
    private static String ofTen(String said) {
        return Stream.of("S10", "E20", "L20", "M30", "S70", "L10", "S80", "M10")
                .map(id -> "{\"id\":\"" + id + "\"," + said + "}")
                .collect(Collectors.joining(",", "[", "]"));
    }
}
