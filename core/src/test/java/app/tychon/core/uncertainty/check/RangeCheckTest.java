package app.tychon.core.uncertainty.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.core.PlanBuilder;
import app.tychon.core.model.Acceptance;
import app.tychon.core.model.Basis;
import app.tychon.core.model.Correlation;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Shape;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.IntFunction;
import org.junit.jupiter.api.Test;

class RangeCheckTest {
    private static PlanBuilder one(Shape days) {
        return new PlanBuilder().task("A", 10).last(a -> a.withEstimate(Optional.of(new Estimate(days, Basis.DAYS))));
    }

    private static Plan many(int count, IntFunction<Shape> factors) {
        PlanBuilder plan = new PlanBuilder();
        for (int i = 0; i < count; i++) {
            Shape shape = factors.apply(i);
            plan.task("A" + i, 10).last(a -> a.withEstimate(Optional.of(new Estimate(shape, Basis.FACTOR))));
        }
        return plan.build();
    }

    /** Ranges of which no two are the same and that betray no habit. */
    private static Shape careful(int i) {
        return new Shape.Triangular(0.7 + 0.002 * i, 0.95 + 0.001 * i, 1.5 + 0.003 * i);
    }

    private static List<RangeFault> faults(Plan plan) {
        return RangeCheck.of(plan).stream().map(RangeFinding::fault).toList();
    }

    @Test
    void workAheadWithoutARangeIsFoundAndFinishedWorkIsNot() {
        Plan plan = new PlanBuilder().task("A", 10).task("M", 0).build();
        assertThat(RangeCheck.of(plan)).singleElement().satisfies(f -> {
            assertThat(f.fault()).isEqualTo(RangeFault.NO_RANGE);
            assertThat(f.on()).isEqualTo("A");
            assertThat(f.message()).startsWith("10d planned");
        });
    }

    @Test
    void aCarefulRangeHasNoFault() {
        assertThat(faults(one(new Shape.Triangular(8, 10, 15)).build())).isEmpty();
        assertThat(faults(many(20, RangeCheckTest::careful))).isEmpty();
    }

    @Test
    void workSaidToBeCertainIsFound() {
        assertThat(faults(one(new Shape.Fixed(10)).build())).containsExactly(RangeFault.SAID_CERTAIN);
    }

    @Test
    void aRangeThatThePlanDoesNotLieInIsFound() {
        assertThat(faults(one(new Shape.Uniform(11, 15)).build())).containsExactly(RangeFault.PLANNED_OUTSIDE);
        assertThat(faults(one(new Shape.Uniform(10, 15)).build())).isEmpty();
    }

    @Test
    void aLikelyValueThatWasCutOffIsFound() {
        Shape cut = new Shape.Truncated(new Shape.Triangular(8, 14, 20), OptionalDouble.empty(), OptionalDouble.of(12));
        assertThat(RangeCheck.of(one(cut).build()))
                .singleElement()
                .extracting(RangeFinding::message)
                .isEqualTo("its likely value, 140 %, lies outside 80 % to 120 % of planned");
    }

    @Test
    void endsThatLieAbsurdlyFarApartAreFound() {
        assertThat(faults(one(new Shape.Triangular(2, 10, 18)).build())).containsExactly(RangeFault.EXTREME_RATIO);
        assertThat(faults(one(new Shape.Triangular(8, 10, 41)).build())).containsExactly(RangeFault.EXTREME_RATIO);
        assertThat(faults(one(new Shape.Triangular(5, 10, 39)).build())).isEmpty();
    }

    @Test
    void aLikelyValueThatIsThePlannedOneEverywhereIsAHabit() {
        assertThat(faults(many(12, i -> new Shape.Triangular(0.8 - 0.01 * i, 1, 1.4 + 0.01 * i))))
                .containsExactly(RangeFault.ANCHORED);
        assertThat(faults(many(9, i -> new Shape.Triangular(0.8 - 0.01 * i, 1, 1.4 + 0.01 * i))))
                .as("too few to be a habit")
                .isEmpty();
    }

    @Test
    void symmetricRangesEverywhereAreAHabit() {
        assertThat(faults(many(12, i -> new Shape.Triangular(0.8 - 0.01 * i, 1, 1.2 + 0.01 * i))))
                .containsExactly(RangeFault.ANCHORED, RangeFault.SYMMETRIC);
    }

    @Test
    void tenPercentEverywhereIsFoundThoughAGradeSaysIt() {
        PlanBuilder plan =
                new PlanBuilder().grade("T", new Shape.Uniform(0.9, 1.1)).graded("W", "T");
        for (int i = 0; i < 12; i++) {
            plan.task("A" + i, 10);
        }
        assertThat(faults(plan.build())).containsExactly(RangeFault.TEN_PERCENT);
    }

    @Test
    void oneRangeCopiedOverABranchIsFoundAndAGradeIsNone() {
        Shape copied = new Shape.Triangular(0.8, 0.95, 1.5);
        assertThat(RangeCheck.of(many(6, i -> copied))).singleElement().satisfies(f -> {
            assertThat(f.fault()).isEqualTo(RangeFault.COPIED_RANGE);
            assertThat(f.on()).isEqualTo("W");
            assertThat(f.message()).isEqualTo("6 of its 6 ranges are the same, 80 % to 150 % of planned");
        });
        assertThat(faults(many(4, i -> copied))).isEmpty();
    }

    @Test
    void manyRangesThatAllMoveAloneAreFoundUntilSomeMoveTogether() {
        Plan alone = many(31, RangeCheckTest::careful);
        assertThat(faults(alone)).containsExactly(RangeFault.NO_CORRELATION);
        Correlation group = Correlation.group("G", "Crew", List.of("A1", "A2"), 0.5);
        assertThat(faults(alone.edit().correlations(List.of(group)).done())).isEmpty();
    }

    @Test
    void coefficientsThatCannotHoldTogetherAreFound() {
        Correlation impossible = new Correlation(
                "G",
                "Crew",
                List.of("A1", "A2", "A3"),
                OptionalDouble.empty(),
                List.of(List.of(1.0), List.of(0.9, 1.0), List.of(-0.9, 0.9, 1.0)));
        Plan plan = many(5, RangeCheckTest::careful)
                .edit()
                .correlations(List.of(impossible))
                .done();
        assertThat(faults(plan)).containsExactly(RangeFault.IMPOSSIBLE_MATRIX);
    }

    @Test
    void whatSomebodyHasAcceptedSaysWhy() {
        Plan plan = one(new Shape.Fixed(10))
                .build()
                .edit()
                .accepted(List.of(new Acceptance("saidCertain", "A", "", "a ship sails by timetable")))
                .done();
        assertThat(RangeCheck.of(plan))
                .singleElement()
                .satisfies(f -> assertThat(f.accepted()).map(Acceptance::reason).contains("a ship sails by timetable"));
    }
}
