package app.tychon.server.risks;

import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.server.RunningTest;
import com.fasterxml.jackson.databind.JsonNode;
import org.junit.jupiter.api.Test;

class RegisterTest extends RunningTest {
    @Test
    void theRegisterTellsEveryRiskAsItStands() throws Exception {
        String project = bringIn("kestrel-ridge");
        JsonNode risks = read("/api/projects/" + project + "/risks").get("risks");
        assertThat(risks).hasSize(16);
        JsonNode permit = risks.get(0);
        assertThat(permit.get("id").asText()).isEqualTo("R01");
        assertThat(permit.get("kind").asText()).isEqualTo("threat");
        assertThat(permit.get("category").asText()).isEqualTo("Authorities/Permits");
        assertThat(permit.get("chance").asDouble()).isEqualTo(0.25);
        assertThat(permit.at("/effects/0/effect").asText()).isEqualTo("addTime");
        assertThat(permit.at("/effects/0/on/0").asText()).isEqualTo("S20");
        assertThat(permit.at("/effects/0/low").asDouble()).isEqualTo(10);
        assertThat(permit.at("/effects/0/high").asDouble()).isEqualTo(60);
        assertThat(permit.get("timeText").asText()).isEqualTo("pert 10..25..60d on S20");
        assertThat(permit.at("/response/cost").asDouble()).isEqualTo(14_000);
        assertThat(risks.get(2).get("perYear").asDouble()).isEqualTo(2.5);
    }

    @Test
    void whatTheyMoveIsToldOnceItIsWorkedOut() throws Exception {
        String project = bringIn("kestrel-ridge");
        String effects = "/api/projects/" + project + "/risks/effects";
        JsonNode first = read(effects);
        assertThat(first.get("state").asText()).isEqualTo("working");
        assertThat(first.get("level").asInt()).isEqualTo(80);
        JsonNode last = workedOut(effects);
        assertThat(last.get("rows")).hasSize(16);
        assertThat(last.at("/all/days").asDouble()).isPositive();
    }

    private JsonNode workedOut(String effects) throws Exception {
        long end = System.nanoTime() + 30_000_000_000L;
        JsonNode told = read(effects);
        while (told.get("state").asText().equals("working") && System.nanoTime() < end) {
            Thread.onSpinWait();
            told = read(effects);
        }
        assertThat(told.get("state").asText()).isEqualTo("done");
        return told;
    }
}
