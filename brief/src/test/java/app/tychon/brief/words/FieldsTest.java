package app.tychon.brief.words;

import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.brief.Examples;
import app.tychon.brief.ground.Ground;
import app.tychon.brief.ground.Odds;
import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Brief.Days;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.result.RunResult;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;

class FieldsTest {
    private final Ground ground = Examples.kestrel();
    private final Fields fields =
            new Fields(new Odds(ground), new Telling("en-GB", Days.WORKING, "EUR"), Plan.PROJECT, 0.8, List.of());

    @Test
    void numbersAreThoseOfTheSimulation() {
        RunResult result = ground.result();
        double[] sorted = result.finish().clone();
        Arrays.sort(sorted);
        // Between the two futures that the level lies between, by type 7.
        double place = 0.8 * (sorted.length - 1);
        String below = day(sorted[(int) place]);
        String above = day(sorted[(int) place + 1]);
        assertThat(fields.value("sure.finish").orElseThrow())
                .isBetween(below.compareTo(above) < 0 ? below : above, below.compareTo(above) < 0 ? above : below);
        assertThat(fields.value("plan.finish")).contains(day(result.planFinish()));
        assertThat(fields.value("iterations")).contains("2,000");
        assertThat(fields.value("p80.finish")).isEqualTo(fields.value("sure.finish"));
        long kept = Arrays.stream(result.cost().totals())
                .filter(cost -> cost <= 5_050_000)
                .count();
        assertThat(fields.value("budget.often")).contains(Math.round(kept / 20.0) + " in a hundred");
    }

    private static String day(double instant) {
        return Instants.toCivil(instant).format(DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.UK));
    }

    @Test
    void whoTypedBesideANumberThatHasChangedIsToldSo() {
        Line line = fields.line("We promise {sure.finish}.", Map.of("sure.finish", "1 January 2028"));
        assertThat(line.changed()).singleElement().satisfies(change -> {
            assertThat(change.was()).isEqualTo("1 January 2028");
            assertThat(change.now()).isEqualTo(fields.value("sure.finish").orElseThrow());
        });
        assertThat(fields.line("We promise {sure.finish}.", Map.of("sure.finish", change(line)))
                        .changed())
                .isEmpty();
    }

    private static String change(Line line) {
        return line.changed().get(0).now();
    }

    @Test
    void aNumberThatThereIsNotIsSaidToBeLost() {
        Line line = fields.line("Take {scenario.V99.name} for {nothing}.", Map.of());
        assertThat(line.pieces())
                .filteredOn(Line.Piece::lost)
                .extracting(Line.Piece::field)
                .containsExactly("scenario.V99.name", "nothing");
        assertThat(line.text()).isEqualTo("Take [scenario.V99.name] for [nothing].");
    }

    @Test
    void bracesThatHoldNoFieldAreWords() {
        assertThat(fields.line("A {set of} words { } {", Map.of()).text()).isEqualTo("A {set of} words { } {");
    }

    @Test
    void everyFieldThatIsOfferedHasAValue() {
        assertThat(fields.all()).hasSizeGreaterThan(25).allSatisfy(field -> {
            assertThat(field.value()).isNotBlank();
            assertThat(fields.value(field.key())).contains(field.value());
        });
    }

    @Test
    void theOptionIsOneThatCanBeDone() {
        // "No risks at all" gains most, and is a question.
        assertThat(fields.value("option.name")).contains("Hearing and test");
        assertThat(fields.value("scenario.V3.finish")).isEqualTo(fields.value("option.finish"));
    }
}
