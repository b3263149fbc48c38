package app.tychon.core.scenario;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Shape;
import app.tychon.core.scenario.TrackRecord.Fact;
import app.tychon.core.scenario.TrackRecord.Kind;
import app.tychon.core.uncertainty.BinomialProportion;
import app.tychon.core.uncertainty.BinomialProportion.Interval;
import app.tychon.core.uncertainty.Distributions;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;

/** What really happened, against ranges and chances that are known exactly. */
class TrackRecordTest {
    /** All of grade B or with a range of 10 to 20 days; work begins on Mondays at eight. */
    private static Plan done() {
        return new PlanBuilder()
                .dataDate("2027-06-01T08:00")
                .grade("B", new Shape.Uniform(0.5, 1.5))
                .graded("W", "B")
                // 12 working days of 10 to 20: a fifth of the way.
                .task("A", 15, new Shape.Uniform(10, 20))
                .actual("2027-03-01T08:00", "2027-03-16T17:00", null)
                // 10 days where 5 to 15 were allowed by the grade: half way.
                .task("C", 10)
                .actual("2027-03-01T08:00", "2027-03-12T17:00", null)
                // 20 days, beyond everything the grade allows.
                .task("D", 10)
                .actual("2027-03-01T08:00", "2027-03-26T17:00", null)
                .resource("crew", 100, Resource.Per.DAY)
                .assign("D", "crew", 1)
                // Under way, and not begun: no facts.
                .task("E", 60)
                .actual("2027-05-03T08:00", null, null)
                .task("F", 5)
                .cost(CostLine.of("K", "Paid", "C", 100)
                        .withSpent(Optional.of(141.0))
                        .withToGo(Optional.of(0.0)))
                .cost(CostLine.of("L", "Half paid", "C", 100)
                        .withSpent(Optional.of(60.0))
                        .withToGo(Optional.of(50.0)))
                .build();
    }

    @Test
    void whatIsOverIsPlacedInItsRange() {
        List<Fact> facts = TrackRecord.of(done());
        assertThat(facts).extracting(Fact::id).containsExactly("A", "C", "D", "K");
        assertThat(facts).extracting(Fact::actual).containsExactly(12.0, 10.0, 20.0, 141.0);
        assertThat(facts.get(0).chance()).isCloseTo(0.2, within(1e-12));
        assertThat(facts.get(1).chance()).isCloseTo(0.5, within(1e-12));
        assertThat(facts.get(2).chance()).isEqualTo(1);
        assertThat(facts.get(2).beyondEnd()).isTrue();
        assertThat(facts.get(2).resources()).containsExactly("crew");
        assertThat(facts.get(3).chance()).isCloseTo(0.91, within(1e-12));
        assertThat(facts)
                .extracting(Fact::kind)
                .containsExactly(Kind.DURATION, Kind.DURATION, Kind.DURATION, Kind.COST);
        assertThat(facts)
                .extracting(Fact::grade)
                .containsExactly(Optional.empty(), Optional.of("B"), Optional.of("B"), Optional.of("B"));
    }

    /** What was narrowed, or widened, once the outcome was known says nothing of how good the range has been. */
    @Test
    void whatIsOverIsHeldAgainstTheRangeThatWasGivenForIt() {
        Plan given = done();
        Plan now = given.edit()
                .activities(given.activities().stream()
                        .map(one -> one.withEstimate(Optional.of(new Estimate(new Shape.Uniform(9, 13), Basis.DAYS))))
                        .toList())
                .grades(List.of())
                .wbs(given.wbs().stream()
                        .map(one -> one.withGrade(Optional.empty()))
                        .toList())
                .done();
        assertThat(TrackRecord.of(now, id -> given)).isEqualTo(TrackRecord.of(given));
        assertThat(TrackRecord.of(now)).extracting(Fact::id).containsExactly("A", "C", "D");
        Plan before = given.withActivities(given.activities().subList(1, 5));
        assertThat(TrackRecord.of(given, id -> before))
                .as("what was not in the plan then had no range")
                .extracting(Fact::id)
                .containsExactly("C", "D", "K");
    }

    @Test
    void countsAddUp() {
        RangeTally tally = RangeTally.of(TrackRecord.of(done()));
        assertThat(tally).isEqualTo(new RangeTally(4, 0, 0, 1, 1, 2, 2, 1));
        assertThat(tally.under20() + tally.to50() + tally.to80() + tally.beyond80())
                .isEqualTo(tally.count());
    }

    /** Clopper and Pearson's own method gives these to four digits. */
    @Test
    void soFewAllowSoMuchToBeSaid() {
        assertThat(BinomialProportion.interval(6, 14)).satisfies(near(0.1766, 0.7114));
        assertThat(BinomialProportion.interval(0, 10)).satisfies(near(0, 0.3085));
        assertThat(BinomialProportion.interval(10, 10)).satisfies(near(0.6915, 1));
        assertThat(RangeTally.byChance(4, 10, 0.2)).isCloseTo(0.120874, within(1e-6));
        assertThat(RangeTally.byChance(0, 10, 0.2)).isCloseTo(1, within(1e-12));
        assertThat(RangeTally.byChance(10, 10, 0.2)).isCloseTo(Math.pow(0.2, 10), within(1e-15));
    }

    private static Consumer<Interval> near(double low, double high) {
        return interval -> {
            assertThat(interval.low()).isCloseTo(low, within(5e-5));
            assertThat(interval.high()).isCloseTo(high, within(5e-5));
        };
    }

    @Test
    void aGradeIsWidenedByAsLittleAsTheFactsAskFor() {
        Shape narrow = new Shape.Triangular(0.9, 1, 1.2);
        double[] ratios = {0.95, 1, 1.1, 1.15, 1.3, 1.4, 1.05, 0.98, 1.6, 1.2};
        Shape wide = Widening.of(narrow, ratios).orElseThrow();
        double p90 = Distributions.of(wide, 1).inverse(0.9);
        List<Double> beyond = new ArrayList<>();
        for (double ratio : ratios) {
            if (ratio > p90) {
                beyond.add(ratio);
            }
        }
        assertThat(beyond).containsExactly(1.6);
        // What is wider upwards has its P10 higher, so that a little more is needed downwards, too.
        double p10 = Distributions.of(wide, 1).inverse(0.1);
        assertThat(Arrays.stream(ratios).filter(ratio -> ratio < p10)).hasSize(1);
        // A step less would have left two beyond.
        Shape.Triangular found = (Shape.Triangular) wide;
        Shape less = new Shape.Triangular(0.9, 1, found.high() - 0.011);
        double lower = Distributions.of(less, 1).inverse(0.9);
        assertThat(Arrays.stream(ratios).filter(ratio -> ratio > lower)).hasSize(2);
        assertThat(Widening.of(wide, ratios)).isEmpty();
        assertThat(Widening.of(new Shape.Uniform(0.9, 1.2), ratios)).isEmpty();
    }
}
