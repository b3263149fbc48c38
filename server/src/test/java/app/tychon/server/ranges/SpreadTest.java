package app.tychon.server.ranges;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.patch;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.core.model.Plan;
import app.tychon.exchange.SpreadJson;
import app.tychon.server.edits.EditedPlanTest;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockMultipartFile;

class SpreadTest extends EditedPlanTest {
    private static final String PAIRS =
            "[[10,12],[8,8],[20,31],[5,5],[12,13],[9,14],[30,36],[7,7],[15,21],[11,11],[6,9],[14,15],[18,20],[10,17],[25,27],[4,4.5]]";

    private JsonNode look(String path, String type, String body) throws Exception {
        return json.readTree(http.perform(post(path).contentType(type).content(body))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    private static JsonNode named(JsonNode list, String id) {
        return StreamSupport.stream(list.spliterator(), false)
                .filter(one -> one.get("id").asText().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aGradeOnABranchHoldsForAllBeneathThatHaveNoneOfTheirOwn() throws Exception {
        accepted(patch(at("/rows")), "[{\"id\":\"S10\",\"estimate\":null},{\"id\":\"S20\",\"estimate\":null}]");
        JsonNode result =
                accepted(patch(at("/rows")), "[{\"id\":\"S\",\"grade\":\"open\"},{\"id\":\"S20\",\"grade\":\"firm\"}]");
        JsonNode own = named(result.get("activities"), "S20");
        assertThat(own.get("grade").asText()).isEqualTo("firm");
        assertThat(own.get("inherited").asText()).isEqualTo("open");
        JsonNode inheriting = named(result.get("activities"), "S10");
        assertThat(inheriting.has("grade")).isFalse();
        assertThat(inheriting.at("/range/shape").asText()).isEqualTo("pert");
        assertThat(inheriting.at("/range/high").asDouble()).isCloseTo(12 * 1.9, within(1e-9));
        JsonNode back = accepted(patch(at("/rows")), "[{\"id\":\"S20\",\"grade\":null}]");
        assertThat(named(back.get("activities"), "S20").at("/range/shape").asText())
                .isEqualTo("pert");
    }

    @Test
    void aSelectionOfBranchesActivitiesAndCostLinesIsOneEdit() throws Exception {
        Plan before = plan();
        JsonNode result = accepted(
                patch(at("/rows")),
                "[{\"id\":\"M\",\"grade\":\"open\"},{\"id\":\"S10\",\"grade\":\"firm\",\"estimate\":null},"
                        + "{\"id\":\"K10\",\"grade\":\"usual\",\"estimate\":null}]");
        assertThat(named(result.at("/parts/costs"), "K10").at("/range/high").asDouble())
                .isCloseTo(410_000 * 1.35, within(1e-6));
        assertThat(named(result.get("branches"), "M").get("grade").asText()).isEqualTo("open");
        accepted(post(at("/undo")), "");
        assertThat(plan()).isEqualTo(before);
    }

    @Test
    void badRangesNameTheFieldOfTheRowTheyStandIn() throws Exception {
        refuse(
                patch(at("/rows")),
                "[{\"id\":\"S\",\"grade\":\"firm\"},{\"id\":\"K10\",\"estimate\":{\"shape\":\"triangular\",\"low\":9,\"likely\":8,\"high\":10}}]",
                "/1/estimate/low",
                "low 9 is above likely 8");
        refuse(
                patch(at("/rows")),
                "[{\"id\":\"S10\",\"name\":\"x\"},{\"id\":\"K10\",\"grade\":\"Z\"}]",
                "/1/grade",
                "no grade");
        refuse(patch(at("/rows")), "[{\"id\":\"M\",\"grade\":\"Z\"}]", "/0/grade", "no grade");
        refuse(
                patch(at("/rows")),
                "[{\"id\":\"K10\",\"estimate\":{\"shape\":\"uniform\",\"low\":1,\"high\":2,\"basis\":\"days\"}}]",
                "/0/estimate/basis",
                "a cost is estimated in money");
    }

    @Test
    void theTableOfGradesIsReplacedAsAWholeButKeepsWhatIsUsed() throws Exception {
        ArrayNode grades = json.createArrayNode();
        plan().grades().forEach(g -> grades.add(SpreadJson.write(g)));
        ((ObjectNode) grades.get(0)).put("high", 1.2).put("note", "Drawn twice");
        grades.add(json.readTree("{\"id\":\"wild\",\"name\":\"Wild\",\"shape\":\"uniform\",\"low\":0.5,\"high\":3}"));
        JsonNode result = accepted(put(at("/grades")), grades.toString());
        assertThat(result.at("/parts/grades")).hasSize(4);
        assertThat(result.at("/parts/grades/0/range/high").asDouble()).isCloseTo(120, within(1e-9));
        accepted(patch(at("/rows")), "[{\"id\":\"S\",\"grade\":\"wild\"}]");
        refuse(put(at("/grades")), "[]", "", "grade \"Usual\" is used by 1 row");
        ((ObjectNode) grades.get(3)).put("low", -1);
        refuse(put(at("/grades")), grades.toString(), "/3/low", "cannot be below zero");
        assertThat(read("/api/grades/starter")).hasSize(5);
        http.perform(get(at("/grades.json")))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.format").value("tychon-grades"))
                .andExpect(jsonPath("$.grades[3].name").value("Wild"));
    }

    @Test
    void correlationsAreAddedChangedAndTakenOut() throws Exception {
        JsonNode added = accepted(
                put(at("/correlations")),
                "{\"id\":\"\",\"name\":\"Road crew\",\"members\":[\"S40\",\"S50\",\"K10\"],\"coefficient\":0.5}");
        String id = added.at("/parts/correlations/2/id").asText();
        assertThat(added.at("/parts/correlations/2/coefficient").asDouble()).isEqualTo(0.5);
        refuse(
                put(at("/correlations")),
                "{\"id\":\"" + id + "\",\"name\":\"Road crew\",\"members\":[\"S40\",\"Z\"],\"coefficient\":1.5}",
                "/members/1",
                "no activity or cost line");
        JsonNode gone = accepted(delete(at("/correlations/" + id)), "");
        assertThat(gone.at("/parts/correlations")).hasSize(2);
    }

    @Test
    void anImpossibleMatrixIsExplainedByTheNearestThatIsPossible() throws Exception {
        JsonNode look = look(
                "/api/correlations/look",
                "application/json",
                "{\"id\":\"X\",\"members\":[\"A\",\"B\",\"C\"],\"matrix\":[[1],[0.9,1],[-0.9,0.9,1]]}");
        assertThat(look.get("possible").asBoolean()).isFalse();
        assertThat(look.get("moved")).hasSize(3);
        JsonNode again = look(
                "/api/correlations/look",
                "application/json",
                "{\"id\":\"X\",\"members\":[\"A\",\"B\",\"C\"],\"matrix\":" + look.get("nearest") + "}");
        assertThat(again.get("possible").asBoolean()).isTrue();
        assertThat(again.get("moved")).isEmpty();
        http.perform(post("/api/correlations/look")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("{\"id\":\"X\",\"members\":[\"A\",\"B\"],\"matrix\":[[1],[2,1]]}"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.problems[0].pointer").value("/matrix/1/0"));
    }

    @Test
    void movingTogetherWidensTheSpreadAndLeavesTheCoefficientsAsAsked() throws Exception {
        JsonNode effect = read(at("/correlations/effect"));
        double with = effect.at("/with/finish/sd").asDouble();
        double without = effect.at("/without/finish/sd").asDouble();
        assertThat(with).isGreaterThan(without);
        JsonNode group = effect.at("/achieved/0");
        assertThat(group.at("/achieved/1/0").asDouble())
                .isCloseTo(group.at("/asked/1/0").asDouble(), within(0.05));
    }

    @Test
    void aRangeIsLookedAtBeforeItIsKept() throws Exception {
        JsonNode look = look(
                at("/ranges/S10/look"),
                "application/json",
                "{\"shape\":\"triangular\",\"low\":10,\"likely\":12,\"high\":20,\"basis\":\"days\"}");
        assertThat(look.at("/range/mean").asDouble()).isCloseTo(14, within(1e-9));
        assertThat(look.get("p50").asDouble()).isBetween(13.0, 14.0);
        http.perform(post(at("/ranges/S10/look"))
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("{\"shape\":\"gamma\",\"shapeParameter\":-1,\"scale\":2}"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.problems[0].pointer").value("/shapeParameter"));
        http.perform(post(at("/ranges/none/look"))
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("{\"shape\":\"fixed\",\"value\":1}"))
                .andExpect(status().isNotFound());
    }

    @Test
    void aWiderRangeOnTheLongestPathMovesTheFinishAndOnlyIt() throws Exception {
        JsonNode effect = look(
                at("/ranges/S20/effect"),
                "application/json",
                "{\"shape\":\"triangular\",\"low\":60,\"likely\":90,\"high\":240,\"basis\":\"days\"}");
        assertThat(effect.at("/after/finish/percentiles/79").asText())
                .isGreaterThan(effect.at("/before/finish/percentiles/79").asText());
        JsonNode same = look(
                at("/ranges/S20/effect"),
                "application/json",
                json.writeValueAsString(
                        named(read(at("/plan")).get("activities"), "S20").get("estimate")));
        assertThat(same.get("after")).isEqualTo(same.get("before"));
    }

    @Test
    void evidenceIsFittedAppliedAndLostWhenTheRangeIsTypedAnew() throws Exception {
        StringBuilder csv = new StringBuilder("Job\tPlanned\tActual\n");
        json.readTree(PAIRS).forEach(p -> csv.append("Job\t")
                .append(p.get(0))
                .append('\t')
                .append(p.get(1))
                .append('\n'));
        JsonNode look = look("/api/evidence/look", "text/csv", csv.toString());
        assertThat(look.get("ratios").asBoolean()).isTrue();
        assertThat(look.get("observations")).hasSize(16);
        assertThat(look.get("few").asBoolean()).isFalse();
        assertThat(look.at("/fits/0/behind").asDouble()).isZero();
        JsonNode best = look.at("/fits/0/words");
        ObjectNode body = json.createObjectNode();
        body.set(
                "evidence",
                json.readTree("{\"id\":\"\",\"name\":\"Roads since 2019\",\"observations\":" + PAIRS + "}"));
        body.set("estimate", best);
        body.set("rows", json.readTree("[\"S40\",\"S50\"]"));
        body.set("grade", json.readTree("{\"name\":\"Roads\",\"mark\":\"P\",\"note\":\"From past roads\"}"));
        JsonNode result = accepted(post(at("/evidence")), body.toString());
        assertThat(result.at("/parts/evidence/0/on")).hasSize(3);
        assertThat(result.at("/parts/grades/3/name").asText()).isEqualTo("Roads");
        assertThat(named(result.get("activities"), "S40").at("/estimate/shape")).isEqualTo(best.get("shape"));
        JsonNode typed = accepted(patch(at("/rows")), "[{\"id\":\"S40\",\"certain\":true}]");
        assertThat(typed.at("/parts/evidence/0/on").toString())
                .doesNotContain("S40")
                .contains("S50");
        Plan kept = plan();
        accepted(delete(at("/evidence/V1")), "");
        assertThat(plan().evidence()).isEmpty();
        accepted(post(at("/undo")), "");
        assertThat(plan()).isEqualTo(kept);
    }

    @Test
    void evidenceWithoutAUseOrWithoutSpreadIsRefused() throws Exception {
        refuse(
                post(at("/evidence")),
                "{\"evidence\":{\"id\":\"\",\"name\":\"x\",\"observations\":[[1],[2],[3]]},\"estimate\":{\"shape\":\"fixed\",\"value\":1}}",
                "/rows",
                "say which rows");
        assertThat(look("/api/evidence/look", "text/csv", "took\n5\n5\n5\n")
                        .get("refusal")
                        .asText())
                .contains("no spread");
        JsonNode few = look("/api/evidence/look", "text/csv", "took\n5\n6\nsoon\n9\n11\n");
        assertThat(few.get("few").asBoolean()).isTrue();
        assertThat(few.at("/problems/0/message").asText()).isEqualTo("\"soon\" is no number");
    }

    @Test
    void aTableOfRangesIsShownAndThenTakenOver() throws Exception {
        MockMultipartFile file = new MockMultipartFile(
                "file",
                "ranges.csv",
                "text/csv",
                "Id,Grade,Shape,Low,Likely,High\nS10,,PERT,9,11,30\nS,Open,,,,\n".getBytes(StandardCharsets.UTF_8));
        http.perform(multipart(at("/ranges/file/preview")).file(file))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.rows[0].before").value("triangular 10 to 12 to 20 days"))
                .andExpect(jsonPath("$.rows[0].after").value("PERT 9 to 11 to 30 days"))
                .andExpect(jsonPath("$.rows[1].after").value("grade Open"));
        http.perform(multipart(at("/ranges/file")).file(file)).andExpect(status().isOk());
        assertThat(plan().wbs().get(0).grade()).contains("open");
        http.perform(multipart(at("/ranges/file"))
                        .file(new MockMultipartFile("file", "x.csv", "text/csv", "Id,Low,High\nQ,1,2\n".getBytes())))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(
                        jsonPath("$.problems[0].message").value(containsString("row 2, id: the plan has no activity")));
        http.perform(get(at("/ranges.csv"))).andExpect(status().isOk());
        http.perform(get(at("/ranges.xlsx"))).andExpect(status().isOk());
    }

    @Test
    void theRangeCheckIsToldAndAcceptedWithAReason() throws Exception {
        accepted(patch(at("/rows")), "[{\"id\":\"S10\",\"estimate\":{\"shape\":\"uniform\",\"low\":13,\"high\":15}}]");
        JsonNode found = read(at("/check/ranges")).get("findings");
        assertThat(found.toString()).contains("plannedOutside");
        accepted(
                post(at("/check/accept")),
                "{\"check\":\"plannedOutside\",\"on\":[\"S10\"],\"reason\":\"The survey has grown\"}");
        assertThat(read(at("/check/ranges")).toString()).contains("The survey has grown");
    }
}
