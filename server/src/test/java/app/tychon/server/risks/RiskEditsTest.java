package app.tychon.server.risks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.patch;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.core.model.Activity;
import app.tychon.core.model.CombineRisks;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Strategy;
import app.tychon.server.edits.EditedPlanTest;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;

class RiskEditsTest extends EditedPlanTest {
    private JsonNode edit(String edits) throws Exception {
        return accepted(patch(at("/risks")), edits);
    }

    private Risk risk(String id) throws Exception {
        return plan().risks().stream()
                .filter(risk -> risk.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private JsonNode seen(String id) throws Exception {
        for (JsonNode risk : read(at("/risks")).get("risks")) {
            if (risk.get("id").asText().equals(id)) {
                return risk;
            }
        }
        throw new AssertionError("no risk " + id);
    }

    @Test
    void risksAreWrittenAsPeopleWriteThem() throws Exception {
        Plan before = plan();
        edit("[{\"id\":\"\",\"add\":true,\"title\":\"Fog on the ridge\",\"chance\":\"1 in 5\","
                + "\"time\":\"2..4..9d on E90, I10 each\",\"money\":\"3..8% on K22\",\"category\":\"Site/Weather\"}]");
        JsonNode fog = seen("R17");
        assertThat(fog.get("chance").asDouble()).isEqualTo(0.2);
        assertThat(fog.get("timeText").asText()).isEqualTo("2..4..9d on E90, I10 each");
        assertThat(fog.get("moneyText").asText()).isEqualTo("3..8% on K22");
        // Five days of nine hours, in days of the project's calendar.
        assertThat(fog.at("/size/days").asDouble()).isEqualTo(5 * 9 / 8.0);
        accepted(post(at("/undo")), "");
        assertThat(plan()).isEqualTo(before);
    }

    @Test
    void oneFieldOfManyRisksIsOneEditAndOthersStay() throws Exception {
        Plan before = plan();
        edit(
                "[{\"id\":\"R05\",\"owner\":\"Crane lead\"},{\"id\":\"R06\",\"owner\":\"Crane lead\",\"chance\":\"2 a year\"}]");
        assertThat(risk("R05").owner()).isEqualTo("Crane lead");
        assertThat(risk("R05").impacts()).isEqualTo(before.risks().get(4).impacts());
        assertThat(seen("R06").get("perYear").asDouble()).isEqualTo(2);
        accepted(post(at("/undo")), "");
        assertThat(plan()).isEqualTo(before);
    }

    @Test
    void whatCannotBeIsRefusedInItsFieldAndNothingIsKept() throws Exception {
        Plan before = plan();
        refuse(patch(at("/risks")), "[{\"id\":\"R01\",\"chance\":\"130\"}]", "/0/chance", "between 0 and 100 %");
        refuse(patch(at("/risks")), "[{\"id\":\"R01\",\"time\":\"5d on X9\"}]", "/0/time", "no activity");
        refuse(patch(at("/risks")), "[{\"id\":\"R01\",\"time\":\"5d on K22\"}]", "/0/impacts", "takes no time");
        refuse(
                patch(at("/risks")),
                "[{\"id\":\"R15\",\"onlyIf\":{\"risk\":\"R16\"}}]",
                "/0/onlyIf",
                "wait for each other");
        refuse(
                patch(at("/risks")),
                "[{\"id\":\"R01\",\"exclusiveGroup\":\"crane\",\"chance\":\"95\"}]",
                "/0/exclusiveGroup",
                "more than 1");
        refuse(patch(at("/risks")), "[{\"id\":\"R99\",\"owner\":\"x\"}]", "/0/id", "no risk");
        refuse(patch(at("/risks")), "[{\"id\":\"R01\",\"strategy\":\"exploit\"}]", "/0/strategy", "no strategy");
        assertThat(plan()).isEqualTo(before);
    }

    @Test
    void aRiskIsClosedForAReasonThatGoesWhenItIsOpenedAgain() throws Exception {
        edit("[{\"id\":\"R06\",\"state\":\"closed\",\"closedBecause\":\"bought at home\"}]");
        assertThat(risk("R06").entry().closedBecause()).isEqualTo("bought at home");
        JsonNode history = read(at("/risks/R06/history"));
        assertThat(history.at("/0/fields/0/field").asText()).isEqualTo("State");
        assertThat(history.at("/0/fields/0/after").asText()).isEqualTo("closed, because bought at home");
        edit("[{\"id\":\"R06\",\"state\":\"open\"}]");
        assertThat(risk("R06").entry().closedBecause()).isEmpty();
        edit("[{\"id\":\"R06\",\"state\":\"occurred\",\"occurred\":{\"on\":\"2027-05-03\",\"days\":6,\"money\":900}}]");
        assertThat(risk("R06").happened(id -> false).orElseThrow()).hasSize(2);
    }

    @Test
    void aDecidedResponsePutsItsMoneyIntoThePlan() throws Exception {
        double before = read(at("/plan")).get("plannedCost").asDouble();
        JsonNode response = seen("R01").get("response");
        assertThat(response.get("cost").asDouble()).isEqualTo(14_000);
        JsonNode result = edit(
                "[{\"id\":\"R01\",\"response\":{\"probability\":0.1,\"impacts\":[],\"decided\":true,"
                        + "\"actions\":[{\"name\":\"Hearing\",\"cost\":14000,\"start\":\"2027-03-15\",\"finish\":\"2027-04-30\"}]}}]");
        assertThat(result.get("plannedCost").asDouble()).isEqualTo(before + 14_000);
    }

    @Test
    void aRiskThatIsRemovedTakesConditionsOnItAlong() throws Exception {
        Plan before = plan();
        JsonNode result = accepted(post(at("/risks/remove")), "{\"risks\":[\"R15\"]}");
        assertThat(result.at("/gone/0").asText()).isEqualTo("the condition of risk R16");
        assertThat(risk("R16").onlyIf()).isEmpty();
        accepted(post(at("/undo")), "");
        assertThat(plan()).isEqualTo(before);
    }

    @Test
    void anotherCodeIsFollowedByWhatDependsOnIt() throws Exception {
        edit("[{\"id\":\"R15\",\"code\":\"MOUNT-1\"}]");
        assertThat(risk("R16").onlyIf().orElseThrow().risk()).isEqualTo("MOUNT-1");
    }

    @Test
    void aSchemeIsScaledKeptAndTakenAwayAgain() throws Exception {
        JsonNode scaled = read(at("/scheme/scaled"));
        accepted(put(at("/scheme")), scaled.toString());
        edit("[{\"id\":\"R01\",\"score\":{\"chance\":3,\"time\":5}}]");
        assertThat(seen("R01").at("/score/product").asInt()).isEqualTo(15);
        assertThat(seen("R01").at("/score/beyond").asBoolean()).isTrue();
        assertThat(read(at("/risks/R01/history")).at("/0/fields/0/after").asText())
                .isEqualTo("chance 3, time 5");
        refuse(patch(at("/risks")), "[{\"id\":\"R01\",\"score\":{\"chance\":7}}]", "/0/score", "from 1 to 5");
        refuse(
                put(at("/scheme")),
                scaled.toString().replace("\"rare\",\"from\":0.0,\"to\":0.05", "\"rare\",\"from\":0.0,\"to\":0.01"),
                "/chance/1/from",
                "must begin where the one before ends");
        accepted(delete(at("/scheme")), "");
        assertThat(read(at("/risks")).has("scheme")).isFalse();
        accepted(post(at("/undo")), "");
        assertThat(read(at("/risks")).has("scheme")).isTrue();
    }

    @Test
    void anotherKindLeavesAStrategyThatDoesNotSuitIt() throws Exception {
        assertThat(risk("R01").entry().strategy()).isPresent();
        edit("[{\"id\":\"R01\",\"kind\":\"opportunity\"},{\"id\":\"R12\",\"kind\":\"opportunity\"}]");
        assertThat(risk("R01").entry().strategy()).isEmpty();
        assertThat(risk("R12").entry().strategy()).contains(Strategy.ACCEPT);
    }

    @Test
    void twoPeopleOnOneRiskTakeBackTheirOwnFieldsAlone() throws Exception {
        String first = plan().risks().get(0).owner();
        edit("[{\"id\":\"R01\",\"owner\":\"Ann\"}]");
        http.perform(patch(at("/risks"))
                        .contentType(MediaType.APPLICATION_JSON)
                        .header("Tychon-Person", "bob")
                        .content("[{\"id\":\"R01\",\"chance\":\"40\"}]"))
                .andExpect(status().isOk());
        accepted(post(at("/undo")), "");
        assertThat(risk("R01").owner()).isEqualTo(first);
        assertThat(risk("R01").probability()).isEqualTo(0.4);
    }

    @Test
    void anEditOnAnOldRevisionIsAConflict() throws Exception {
        edit("[{\"id\":\"R01\",\"owner\":\"Ann\"}]");
        http.perform(patch(at("/risks"))
                        .contentType(MediaType.APPLICATION_JSON)
                        .header("Tychon-Person", "bob")
                        .header("If-Match", "\"1\"")
                        .content("[{\"id\":\"R01\",\"owner\":\"Bob\"}]"))
                .andExpect(status().isConflict());
        assertThat(risk("R01").owner()).isEqualTo("Ann");
    }

    @Test
    void howRisksCombineOnAnActivityIsSaidAtTheActivity() throws Exception {
        accepted(patch(at("/rows")), "[{\"id\":\"E90\",\"combineRisks\":\"largest\"}]");
        assertThat(plan().activities().stream()
                        .filter(a -> a.id().equals("E90"))
                        .map(Activity::combineRisks))
                .containsExactly(CombineRisks.LARGEST);
        refuse(
                patch(at("/rows")),
                "[{\"id\":\"E90\",\"combineRisks\":\"some\"}]",
                "/0/combineRisks",
                "must be one of add, largest");
    }

    @Test
    void lossesOfCategoriesAddUpAndExposureFalls() throws Exception {
        JsonNode losses = read(at("/risks/losses"));
        double sum = 0;
        for (JsonNode row : losses.get("rows")) {
            sum += row.get("depth").asInt() == 0 ? row.get("expected").asDouble() : 0;
        }
        assertThat(sum + losses.get("together").asDouble())
                .isCloseTo(losses.at("/odds/mean").asDouble(), within(1e-6 * Math.abs(sum)));
        JsonNode reading = read(at("/risks/losses/reading?chance=95"));
        assertThat(reading.get("value").asDouble())
                .isGreaterThan(losses.at("/odds/mean").asDouble());
        JsonNode exposure = read(at("/risks/exposure"));
        JsonNode steps = exposure.get("decided");
        assertThat(steps.get(0).get("daysAt").asDouble())
                .isGreaterThan(steps.get(steps.size() - 1).get("daysAt").asDouble());
        String table = http.perform(get(at("/risks/exposure.csv")))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(table).startsWith("responses,from,days,daysAtP80,money,moneyAtP80,because\ndecided,2027-03-01,");
        assertThat(table.lines()).hasSize(1 + steps.size() + exposure.get("all").size());
        http.perform(get(at("/risks/losses?levels=101"))).andExpect(status().isUnprocessableEntity());
        http.perform(get(at("/risks/losses?category=Nowhere"))).andExpect(status().isNotFound());
    }

    @Test
    void theTableOfLossesHasEveryFutureAndReadsBothWays() throws Exception {
        for (String query : new String[] {"?time=false", "?time=true&category=Authorities"}) {
            JsonNode view = read(at("/risks/losses" + query));
            double[] losses = http.perform(get(at("/risks/losses.csv" + query)))
                    .andExpect(status().isOk())
                    .andReturn()
                    .getResponse()
                    .getContentAsString()
                    .lines()
                    .skip(1)
                    .mapToDouble(line -> Double.parseDouble(line.substring(line.indexOf(',') + 1)))
                    .sorted()
                    .toArray();
            assertThat(Arrays.stream(losses).average().orElseThrow())
                    .isCloseTo(view.at("/odds/mean").asDouble(), withinPercentage(1e-6));
            double middle = losses[losses.length / 2];
            double chance = read(at("/risks/losses/reading" + query + "&value=" + middle))
                    .get("chance")
                    .asDouble();
            assertThat(chance)
                    .isCloseTo(
                            Arrays.stream(losses).filter(loss -> loss <= middle).count() / (double) losses.length,
                            within(1e-3));
        }
    }

    @Test
    void whatTheRiskCheckFindsIsMendedOrAcceptedWithAReason() throws Exception {
        edit("[{\"id\":\"X1\",\"add\":true,\"title\":\"Late papers\",\"chance\":\"0\",\"time\":\"5d on S30\"}]");
        assertThat(found("X1")).containsOnlyKeys("noChance", "noOwner");
        String about = "\"on\":[\"X1\"]}";
        accepted(post(at("/check/fix")), "{\"check\":\"noChance\"," + about);
        assertThat(risk("X1").state()).isEqualTo(Risk.State.CLOSED);
        assertThat(risk("X1").entry().closedBecause()).isEqualTo("its chance is nothing");
        accepted(post(at("/undo")), "");
        accepted(post(at("/check/accept")), "{\"check\":\"noOwner\",\"reason\":\"the board owns it\"," + about);
        assertThat(found("X1").get("noOwner")).isEqualTo("the board owns it");
        assertThat(plan().accepted()).anyMatch(a -> a.on().equals("X1"));
    }

    /** Faults of a risk, each with the reason why it is none; empty where nobody gave one. */
    private Map<String, String> found(String risk) throws Exception {
        Map<String, String> found = new HashMap<>();
        for (JsonNode finding : read(at("/check/risks")).get("findings")) {
            if (finding.get("on").asText().equals(risk)) {
                found.put(
                        finding.get("check").asText(), finding.path("accepted").asText(""));
            }
        }
        return found;
    }

    @Test
    void whatAnOccurredRiskTookIsInItsHistory() throws Exception {
        edit(
                "[{\"id\":\"R06\",\"state\":\"occurred\",\"occurred\":{\"on\":\"2027-04-02\",\"days\":3.5,\"money\":12000}}]");
        JsonNode fields = read(at("/risks/R06/history")).at("/0/fields");
        assertThat(fields)
                .extracting(f -> f.get("field").asText() + ": " + f.get("after").asText())
                .contains("State: occurred", "Took: on 2027-04-02, 3.5 days, 12000 money");
    }

    @Test
    void pastEventsSayHowOftenAndHowHard() throws Exception {
        JsonNode look = accepted(
                post(at("/risks/past/look")), "{\"years\":4,\"count\":10,\"unit\":\"days\",\"mean\":2,\"sd\":1}");
        assertThat(look.get("perYear").asDouble()).isEqualTo(2.5);
        assertThat(look.at("/sizes/0/shape").asText()).isEqualTo("lognormal");
        refuse(post(at("/risks/past/look")), "{\"years\":0,\"count\":1}", "/years", "above 0");
    }
}
