package app.tychon.server.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.server.RunningTest;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;

class FutureTest extends RunningTest {
    private String demoRun() throws Exception {
        String run = begin(bringIn("kestrel-ridge"), "{\"iterations\":2000,\"seed\":4711}");
        ended(run);
        return "/api/runs/" + run;
    }

    @Test
    void aP80WorldFinishesWhenFourFuturesInFiveHaveFinished() throws Exception {
        String run = demoRun();
        JsonNode world = read(run + "/futures/at-chance?chance=80");
        assertThat(world.get("finishChance").asDouble()).isCloseTo(0.8, within(0.002));
        assertThat(world.get("finish").asText().substring(0, 10))
                .isEqualTo(read(run + "/dates/at-chance?chance=80")
                        .get("value")
                        .asText()
                        .substring(0, 10));
        JsonNode same = read(run + "/futures/" + world.get("number").asInt());
        assertThat(same).isEqualTo(world);
    }

    @Test
    void aFutureTellsWhatDroveItWhatStruckAndWhatItCost() throws Exception {
        JsonNode future = read(demoRun() + "/futures/17");
        JsonNode path = future.get("path");
        String last = path.get(path.size() - 1).asText();
        JsonNode row = StreamSupport.stream(future.get("rows").spliterator(), false)
                .filter(r -> r.get("id").asText().equals(last))
                .findFirst()
                .orElseThrow();
        assertThat(row.get("finish")).isEqualTo(future.get("finish"));
        assertThat(row.get("drove").asBoolean()).isTrue();
        JsonNode money = future.get("money");
        double parts = money.get("spread").asDouble()
                + money.get("timeDriven").asDouble()
                + money.get("risk").asDouble()
                + money.get("actions").asDouble();
        assertThat(future.get("cost").asDouble())
                .isCloseTo(future.get("planCost").asDouble() + parts, within(1e-6));
        future.get("struck")
                .forEach(struck -> assertThat(struck.get("title").asText()).isNotBlank());
    }

    @Test
    void aFutureThatIsNotThereIsRefused() throws Exception {
        String run = demoRun();
        http.perform(get(run + "/futures/2001"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail").value(containsString("futures 1 to 2000")));
        http.perform(get(run + "/futures/at-chance?chance=120")).andExpect(status().isUnprocessableEntity());
    }

    @Test
    void dateAndBudgetAreKeptTogetherLessOftenThanEitherAlone() throws Exception {
        String run = demoRun();
        JsonNode joint = read(run + "/joint?chance=70");
        double both = joint.get("both").asDouble();
        double date = both + joint.get("dateOnly").asDouble();
        double budget = both + joint.get("costOnly").asDouble();
        assertThat(date
                        + joint.get("costOnly").asDouble()
                        + joint.get("neither").asDouble())
                .isCloseTo(1, within(1e-9));
        assertThat(both).isLessThan(Math.min(date, budget));
        assertThat(read(run + "/dates/at-date?date=" + joint.get("date").asText())
                        .get("chance")
                        .asDouble())
                .isCloseTo(date, within(0.002));
        assertThat(joint.get("points")).hasSize(2000);
        JsonNode pair = joint.at("/pairs/20");
        JsonNode again = read(run + "/joint?date=" + pair.get("finish").asText() + "&amount=" + pair.get("cost"));
        assertThat(again.get("both").asDouble()).isCloseTo(0.7, within(0.002));
    }

    @Test
    void curveAndIterationsGoOutAsTables() throws Exception {
        String run = demoRun();
        String[] curve = table(run + "/dates.csv");
        assertThat(curve).hasSize(202);
        assertThat(curve[0]).isEqualTo("chancePercent,value,low95,high95");
        assertThat(curve[161])
                .startsWith("80.0,"
                        + read(run + "/dates/at-chance?chance=80")
                                .get("value")
                                .asText()
                                .substring(0, 10));
        assertThat(table(run + "/amounts.csv")).hasSize(202);
        String[] iterations = table(run + "/iterations.csv");
        assertThat(iterations).hasSize(2001);
        String[] first = iterations[17].split(",");
        JsonNode future = read(run + "/futures/17");
        assertThat(Double.parseDouble(first[3])).isCloseTo(future.get("cost").asDouble(), within(1e-6));
    }

    private String[] table(String address) throws Exception {
        return http.perform(get(address))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString()
                .split("\r\n");
    }
}
