package app.tychon.server.costs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.server.RunningTest;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The money of a simulation of the demo, over HTTP. */
class CostOddsTest extends RunningTest {
    private static String shared;

    private String run() throws Exception {
        if (shared == null) {
            String run = begin(bringIn("kestrel-ridge"), "{\"iterations\":2000,\"seed\":4711}");
            ended(run);
            shared = "/api/runs/" + run;
        }
        return shared + "/costs";
    }

    @Test
    void linesAddUpToTheirRowsAndCategoriesToTheCent() throws Exception {
        JsonNode view = read(run() + "/rows");
        Map<String, Double> means = new HashMap<>();
        view.get("rows")
                .forEach(row ->
                        means.put(row.get("key").asText(), row.get("mean").asDouble()));
        assertThat(means.get("category:Optics"))
                .isCloseTo(means.get("line:K30") + means.get("line:K32"), within(0.005));
        assertThat(means.get("row:S40")).isCloseTo(means.get("line:K10"), within(0.005));
        assertThat(means.get("row:I10"))
                .isCloseTo(means.get("work:I10/crew") + means.get("work:I10/anchors"), within(0.005));
        assertThat(view.get("scarce").asBoolean()).isFalse();
    }

    @Test
    void whatIsOfNoCategoryHasOddsToo() throws Exception {
        String run = begin(bringIn("garden-room"), "{\"iterations\":1000,\"seed\":1}");
        ended(run);
        Map<String, Double> means = new HashMap<>();
        read("/api/runs/" + run + "/costs/rows")
                .get("rows")
                .forEach(row ->
                        means.put(row.get("key").asText(), row.get("mean").asDouble()));
        assertThat(means.get("category:")).isCloseTo(means.get("project"), within(0.005));
    }

    @Test
    void cashFlowIsToldByPeriodWithTheChanceOfItsFunding() throws Exception {
        JsonNode months = read(run() + "/flow?period=month");
        JsonNode quarters = read(run() + "/flow?period=quarter");
        assertThat(months.get("periods").size())
                .isGreaterThan(quarters.get("periods").size());
        JsonNode last =
                months.get("periods").get(months.get("periods").size() - 1).get("toDate");
        double planned = read(run() + "/causes").at("/whole/planned").asDouble();
        assertThat(last.get("planned").asDouble()).isCloseTo(planned, within(0.01));
        assertThat(months.at("/funding/throughout").asDouble()).isBetween(0.3, 0.9);
        assertThat(months.at("/funding/breaks/from").asText()).isEqualTo("2027-12-01");
        JsonNode mirror = read(run() + "/flow?category=Optics");
        assertThat(mirror.has("funding")).as("of a part there is none").isFalse();
        JsonNode branch = read(run() + "/flow?of=M");
        assertThat(branch.get("periods").size()).isEqualTo(months.get("periods").size());
        http.perform(get(run() + "/flow?period=day")).andExpect(status().isUnprocessableEntity());
        http.perform(get(run() + "/flow?of=Z99")).andExpect(status().isUnprocessableEntity());
    }

    @Test
    void causesAddUpAndContingencyIsToldWithAndWithoutDelay() throws Exception {
        JsonNode causes = read(run() + "/causes?by=category&depth=1&level=90");
        JsonNode whole = causes.get("whole");
        double sum = 0;
        for (String cause : new String[] {"planned", "ranges", "delay", "risks", "actions"}) {
            sum += whole.get(cause).asDouble();
        }
        assertThat(sum).isCloseTo(whole.get("at").asDouble(), within(0.01));
        assertThat(causes.get("with").asDouble())
                .isGreaterThan(causes.get("without").asDouble());
        assertThat(causes.get("with").asDouble())
                .isCloseTo(whole.get("at").asDouble() - whole.get("planned").asDouble(), within(0.01));
        assertThat(causes.get("groups")).isNotEmpty();
        http.perform(get(run() + "/causes?level=100")).andExpect(status().isUnprocessableEntity());
    }

    @Test
    void theLoadOfAResourceIsToldAgainstItsLimit() throws Exception {
        JsonNode load = read(run() + "/load?resource=crew&period=month");
        assertThat(load.get("limit").asDouble()).isEqualTo(2);
        assertThat(load.get("everExceeded").asDouble()).isBetween(0.0, 1.0);
        http.perform(get(run() + "/load?resource=divers")).andExpect(status().isUnprocessableEntity());
    }
}
