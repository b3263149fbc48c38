package app.tychon.server.scenarios;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.awaitility.Awaitility.await;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.patch;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Scenario;
import app.tychon.server.edits.EditedPlanTest;
import com.fasterxml.jackson.databind.JsonNode;
import java.time.Duration;
import org.junit.jupiter.api.Test;

/** What to fund of the demo's responses, and the story of its scenarios, over HTTP. */
class FundTest extends EditedPlanTest {
    private JsonNode fund(String query) {
        return await().atMost(Duration.ofSeconds(60)).until(() -> read(at("/fund?" + query)), view -> !view.get("state")
                .asText()
                .equals("working"));
    }

    @Test
    void everySetOfResponsesIsTriedAndTheLineRises() {
        JsonNode view = fund("goal=finish&level=80");
        assertThat(view.get("state").asText()).isEqualTo("done");
        int options = view.get("options").size();
        assertThat(options).isEqualTo(5);
        assertThat(view.get("complete").asBoolean()).isTrue();
        assertThat(view.get("tried").size()).isEqualTo(1 << options);
        double cost = -1;
        double gain = -1;
        for (JsonNode best : view.get("best")) {
            assertThat(best.get("cost").asDouble()).isGreaterThan(cost);
            assertThat(best.get("gain").asDouble()).isGreaterThan(gain);
            assertThat(best.get("gap").asDouble()).isZero();
            assertThat(best.has("numbers")).isTrue();
            assertThat(best.get("without").size() + best.get("more").size()).isEqualTo(options);
            cost = best.get("cost").asDouble();
            gain = best.get("gain").asDouble();
        }
        assertThat(gain).isGreaterThan(5);
    }

    @Test
    void scenariosWithEditsAreOptionsTooAndBothCanBeTheGoal() {
        JsonNode view = fund("goal=both&level=80&scenarios=V4");
        assertThat(view.get("options").size()).isEqualTo(6);
        JsonNode crews = view.get("options").get(5);
        assertThat(crews.get("kind").asText()).isEqualTo("scenario");
        assertThat(crews.get("cost").asDouble()).isCloseTo(85_000, within(1.0));
        assertThat(view.get("tried").size()).isEqualTo(64);
        JsonNode last = view.get("best").get(view.get("best").size() - 1);
        assertThat(last.get("gain").asDouble()).isBetween(0.02, 0.5);
    }

    @Test
    void whereNothingIsPromisedBothCannotBeKept() throws Exception {
        accepted(patch(at("/settings")), "{\"targetCost\":null}");
        JsonNode view = fund("goal=both");
        assertThat(view.get("state").asText()).isEqualTo("refused");
        assertThat(view.get("refusal").asText()).contains("a target date and a budget");
        http.perform(get(at("/fund?goal=glory"))).andExpect(status().isUnprocessableEntity());
    }

    @Test
    void aStoryAddsOneScenarioAfterTheOther() throws Exception {
        JsonNode story = read(at("/scenarios/story?order=V1,V2,V4"));
        double now = 0;
        for (JsonNode step : story.get("steps")) {
            now += step.at("/adds/now").asDouble();
        }
        assertThat(now).isCloseTo(14_000 + 38_000 + 85_000, within(1.0));
        JsonNode first = story.get("steps").get(0);
        assertThat(first.get("adds")).isEqualTo(first.get("alone"));
        // Together the first two are the scenario that has both.
        JsonNode both = read(at("/scenarios/story?order=V3"));
        assertThat(story.at("/steps/1/numbers")).isEqualTo(both.at("/steps/0/numbers"));
        http.perform(get(at("/scenarios/story?order=V9"))).andExpect(status().isNotFound());
    }

    @Test
    void aSetIsDecidedInOneEditOrMadeAScenario() throws Exception {
        Plan before = plan();
        accepted(post(at("/fund/decide")), "{\"risks\":[\"R01\",\"R02\"],\"scenarios\":[\"V4\"]}");
        Plan decided = plan();
        assertThat(decided.risks().subList(0, 2)).allMatch(Risk::isAnswered);
        assertThat(decided.costs()).hasSize(before.costs().size() + 1);
        assertThat(decided.scenarios()).isEqualTo(before.scenarios());
        accepted(post(at("/undo")), "");
        assertThat(plan()).isEqualTo(before);

        accepted(
                patch(at("/scenarios")),
                "[{\"id\":\"V9\",\"add\":true,\"name\":\"Best\",\"with\":[\"V4\",\"V2\"],\"risks\":{\"R01\":\"response\"}}]");
        Scenario best = plan().scenarios().get(5);
        assertThat(best.risks()).containsOnlyKeys("R01", "R02");
        assertThat(best.edits()).hasSize(2);
    }
}
