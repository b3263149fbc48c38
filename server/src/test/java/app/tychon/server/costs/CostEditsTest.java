package app.tychon.server.costs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.patch;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;

import app.tychon.core.model.Assignment;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Escalation;
import app.tychon.core.model.Funding;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Shape;
import app.tychon.server.edits.EditedPlanTest;
import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Optional;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Money over HTTP: edited in cells, hired, funded, out to tables and in again. */
class CostEditsTest extends EditedPlanTest {
    private CostLine line(String id) throws Exception {
        return plan().costs().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private JsonNode rows(String body) throws Exception {
        return accepted(patch(at("/rows")), body);
    }

    private static JsonNode figure(JsonNode figures, String id) {
        return StreamSupport.stream(figures.spliterator(), false)
                .filter(one -> one.get("id").asText().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aLineIsTypedAsPeopleWriteItAndTakenBack() throws Exception {
        Plan before = plan();
        JsonNode result = rows(
                """
                [{"id": "", "add": true, "cost": {"name": "Lightning mast", "on": "E90", "amount": "12.5k", "due": "40 %",
                  "paid": "30 % on 1 May 2027; 70 % at E90", "category": " Enclosure / Safety ", "spent": "1,000"}}]
                """);
        CostLine mast = line("K90");
        assertThat(mast.amount()).isEqualTo(12_500);
        assertThat(mast.fixedShare()).isEqualTo(0.4);
        assertThat(mast.category()).isEqualTo("Enclosure/Safety");
        assertThat(mast.instalments()).hasSize(2);
        assertThat(mast.spent()).hasValue(1000.0);
        assertThat(figure(result.at("/parts/figures"), "K90").get("planned").asDouble())
                .isEqualTo(12_500);
        accepted(post(at("/undo")), "");
        assertThat(plan()).isEqualTo(before);
    }

    @Test
    void aDayRateFollowsThePlan() throws Exception {
        rows("[{\"id\": \"K24\", \"cost\": {\"perDay\": \"1700\"}}]");
        CostLine crane = line("K24");
        assertThat(crane.amount()).as("what was due anyway").isCloseTo(19_200, within(1e-6));
        assertThat(crane.perDay()).hasValue(1700.0);
        JsonNode longer = rows("[{\"id\": \"E90\", \"duration\": \"22d\"}]");
        JsonNode figure = figure(longer.at("/parts/figures"), "K24");
        assertThat(figure.get("perDay").asDouble()).isCloseTo(1700, within(1e-6));
        double before = figure.get("planned").asDouble();
        double after = figure(rows("[{\"id\": \"E90\", \"duration\": \"27d\"}]").at("/parts/figures"), "K24")
                .get("planned")
                .asDouble();
        assertThat(after - before).as("five days more").isCloseTo(5 * 1700, within(1e-6));
        rows("[{\"id\": \"K24\", \"cost\": {\"perDay\": \"\"}}]");
        assertThat(line("K24").perDay()).isEmpty();
        assertThat(line("K24").amount()).isCloseTo(after, within(1e-6));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "due | 120 % | /0/fixedShare | lies between 0 and 1",
                "amount | lots | /0/cost/amount | is no amount",
                "amount | $5k | /0/cost/amount | amounts of this project are in EUR",
                "perDay | -5 | /0/perDay | cannot be below zero",
                "paid | 30 % on 2027-05-01; 60 % at E80 | /0/instalments | add up to the whole",
                "paid | 100 % at Z99 | /0/cost/paid | there is no activity or branch",
                "spent | -5 | /0/spent | cannot be below zero",
                "on | Z99 | /0/cost/on | there is no activity or branch"
            })
    void whatCannotBeIsRefusedInItsFieldWithTheReason(String field, String text, String pointer, String reason)
            throws Exception {
        Plan before = plan();
        refuse(
                patch(at("/rows")),
                "[{\"id\": \"K24\", \"cost\": {\"" + field + "\": \"" + text + "\"}}]",
                pointer,
                reason);
        assertThat(plan()).isEqualTo(before);
    }

    @Test
    void crewsAreTypedOnActivitiesAndResourcesEdited() throws Exception {
        rows("[{\"id\": \"E90\", \"crew\": \"Summit crew 0.5; optics 2\"}]");
        assertThat(plan().assignments())
                .contains(new Assignment("E90", "crew", 0.5), new Assignment("E90", "optics", 2));
        refuse(patch(at("/rows")), "[{\"id\": \"E90\", \"crew\": \"divers\"}]", "/0/crew", "no resource \"divers\"");
        accepted(
                patch(at("/resources")),
                """
                [{"id": "crew", "rate": "1,950; 2050 from 2028-01-01", "limit": "1.5"},
                 {"id": "", "add": true, "name": "Diesel generator", "rate": "90", "per": "day", "work": "E90; E92 0.5"}]
                """);
        Plan plan = plan();
        Resource crew = plan.resources().get(0);
        assertThat(crew.rates()).hasSize(1);
        assertThat(crew.limit()).hasValue(1.5);
        assertThat(plan.assignments()).contains(new Assignment("E92", "diesel", 0.5));
        refuse(patch(at("/resources")), "[{\"id\": \"crew\", \"rate\": \"-4\"}]", "/0/rate", "cannot be below zero");
        accepted(post(at("/resources/remove")), "{\"resources\": [\"diesel\"]}");
        assertThat(plan().assignments()).noneMatch(one -> one.resource().equals("diesel"));
    }

    @Test
    void aHireIsAHammockWithItsLineInOneStep() throws Exception {
        Plan before = plan();
        accepted(
                post(at("/hire")),
                "{\"name\": \"Mobile toilet\", \"from\": \"E\", \"to\": \"E90\", \"fixed\": \"2k\", \"perDay\": \"50\"}");
        Plan plan = plan();
        CostLine hire = plan.costs().get(plan.costs().size() - 1);
        assertThat(hire.amount()).isEqualTo(2000);
        assertThat(hire.perDay()).hasValue(50.0);
        assertThat(plan.activities()).anyMatch(one -> one.id().equals(hire.on()) && one.isHammock());
        refuse(
                post(at("/hire")),
                "{\"name\": \"\", \"from\": \"E70\", \"to\": \"Z9\", \"perDay\": \"x\"}",
                "/name",
                "say what is hired");
        accepted(post(at("/undo")), "");
        assertThat(plan()).isEqualTo(before);
    }

    @Test
    void pricesRiseAndFundingIsPutInPlaceAsAWhole() throws Exception {
        double before =
                rows("[{\"id\": \"S10\", \"notes\": \"-\"}]").get("plannedCost").asDouble();
        JsonNode dearer = accepted(
                put(at("/escalation")),
                """
                [{"category": "Optics", "perYear": 0.05},
                 {"category": "", "perYear": {"shape": "triangular", "low": 0.01, "likely": 0.02, "high": 0.06}}]
                """);
        assertThat(dearer.get("plannedCost").asDouble()).isGreaterThan(before * 1.01);
        assertThat(plan().escalation()).contains(new Escalation("Optics", new Shape.Fixed(0.05)));
        refuse(
                put(at("/escalation")),
                "[{\"category\": \"\", \"perYear\": -1.5}]",
                "/0/perYear",
                "cannot fall by 100 %");
        accepted(
                put(at("/funding")),
                "[{\"date\": \"2028-01-01\", \"amount\": \"1.2m\"}, {\"date\": \"2027-03-01\", \"amount\": 900000}]");
        assertThat(plan().funding())
                .containsExactly(
                        new Funding(LocalDate.of(2027, 3, 1), 900_000, ""),
                        new Funding(LocalDate.of(2028, 1, 1), 1_200_000, ""));
        refuse(
                put(at("/funding")),
                "[{\"date\": \"2028-01-01\", \"amount\": \"1m\"}, {\"date\": \"2027-03-01\", \"amount\": \"-5k\"}]",
                "/1/amount",
                "each step adds");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"costs.csv", "costs.xlsx", "resources.csv", "resources.xlsx", "funding.csv", "funding.xlsx"})
    void whatIsTakenOutComesInAgainUnchanged(String name) throws Exception {
        rows("[{\"id\": \"K24\", \"cost\": {\"perDay\": \"1700\"}}]");
        Plan before = plan();
        byte[] file = download(at("/" + name));
        JsonNode preview = send(at("/costs/file/preview"), file);
        assertThat(preview.get("problems")).isEmpty();
        assertThat(preview.get("rows"))
                .isNotEmpty()
                .allMatch(row -> row.get("what").asText().equals("same"));
        if (name.startsWith("costs")) {
            accepted(post(at("/rows/remove")), "{\"rows\": [\"K42\", \"K80\"]}");
        } else if (name.startsWith("resources")) {
            accepted(
                    patch(at("/resources")),
                    "[{\"id\": \"crew\", \"rate\": \"5\", \"work\": \"\", \"category\": \"\"}]");
        } else {
            accepted(put(at("/funding")), "[]");
        }
        send(at("/costs/file"), file);
        Plan after = plan();
        assertThat(after.costs()).containsExactlyInAnyOrderElementsOf(before.costs());
        assertThat(after.resources()).isEqualTo(before.resources());
        assertThat(after.assignments()).containsExactlyInAnyOrderElementsOf(before.assignments());
        assertThat(after.funding()).isEqualTo(before.funding());
    }

    @Test
    void faultyCellsAreToldByRowAndMended() throws Exception {
        byte[] table =
                """
                Code;Name;On;Amount;Currency;Range
                K10;Road works contract;S40;430.000,00;EUR;92..100..135 %
                ;Lightning mast;E90;12,5k;EUR;
                ;Weather station;Z99;8k;EUR;
                ;Import duty;E80;CHF 5k;EUR;
                """
                        .getBytes(StandardCharsets.UTF_8);
        JsonNode preview = send(at("/costs/file/preview"), table);
        assertThat(preview.get("problems"))
                .extracting(problem ->
                        problem.get("row").asInt() + " " + problem.get("header").asText())
                .containsExactlyInAnyOrder("4 On", "5 Amount");
        String mended = "4:2:E96\n5:3:5k";
        JsonNode sound = send(at("/costs/file/preview"), table, "mended", mended);
        assertThat(sound.get("problems")).isEmpty();
        assertThat(sound.get("rows"))
                .extracting(row -> row.get("what").asText())
                .containsExactly("changed", "new", "new", "new");
        assertThat(sound.get("gone")).hasSize(12);
        send(at("/costs/file"), table, "mended", mended);
        assertThat(line("K10").amount()).isEqualTo(430_000);
        assertThat(plan().costs()).hasSize(16);
        assertThat(line("K10").category()).as("no such column").isEqualTo("Site/Access");
        assertThat(line("K10").estimate()).isNotEqualTo(Optional.empty());
    }
}
