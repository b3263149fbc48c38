package app.tychon.core.uncertainty;

import static app.tychon.core.PlanBuilder.fiveDayWeek;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.Basis;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Shape;
import app.tychon.core.model.WorkDuration;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class EstimateRangeTest {
    private static EstimateRange range(String duration, Shape shape, Basis basis) {
        Activity activity = Activity.of(
                "A", "W", "a", ActivityKind.TASK, WorkDuration.parse(duration).orElseThrow(), "std");
        return EstimateRange.of(
                EstimateSpread.of(
                        activity, Optional.ofNullable(shape).map(s -> new Estimate(s, basis)), fiveDayWeek("std")),
                EstimateRange.POINTS);
    }

    @Test
    void aFactorIsOfThePlannedDuration() {
        EstimateRange range = range("2w", new Shape.Triangular(0.8, 1, 1.5), Basis.FACTOR);
        assertThat(range.planned()).isEqualTo(10);
        assertThat(List.of(range.low(), range.likely().orElseThrow(), range.high()))
                .containsExactly(8.0, 10.0, 15.0);
    }

    @Test
    void hoursAndElapsedDaysAreToldInDaysOfTheActivity() {
        assertThat(range("4h", new Shape.Uniform(4, 12), Basis.HOURS).mean()).isEqualTo(1);
        EstimateRange curing = range("14ed", new Shape.Uniform(10, 20), Basis.DAYS);
        assertThat(curing.planned()).isEqualTo(14);
        assertThat(curing.mean()).isEqualTo(15);
        assertThat(curing.plannedChance()).isCloseTo(0.4, within(1e-12));
    }

    @Test
    void withoutAnEstimateThePlannedDurationIsCertain() {
        EstimateRange range = range("5d", null, Basis.DAYS);
        assertThat(range.standardDeviation()).isZero();
        assertThat(range.plannedChance()).isOne();
        assertThat(range.density()).isEmpty();
        assertThat(range.likely()).isEmpty();
    }

    @Test
    void theDensityPeaksAtOneWhereTheLikelyValueIs() {
        EstimateRange range = range("12d", new Shape.Pert(8, 12, 24, 4), Basis.DAYS);
        double[] density = range.density();
        int peak = 0;
        for (int i = 0; i < density.length; i++) {
            peak = density[i] > density[peak] ? i : peak;
        }
        double at = range.low() + (range.high() - range.low()) * peak / (density.length - 1);
        assertThat(density[peak]).isOne();
        assertThat(at).isCloseTo(12, within(0.5));
        assertThat(density[0]).isZero();
    }

    @Test
    void spikesOfDiscreteShapesShow() {
        Shape coin = new Shape.Discrete(List.of(new Shape.Point(10, 0.75), new Shape.Point(20, 0.25)));
        double[] density = range("10d", coin, Basis.DAYS).density();
        assertThat(density[0]).isOne();
        assertThat(density[density.length - 1]).isCloseTo(1 / 3.0, within(1e-9));
        assertThat(Arrays.stream(density).filter(height -> height > 0)).hasSize(2);
    }

    @Test
    void everyShapeCanBeSimulated() {
        List<Shape> shapes = List.of(
                new Shape.Normal(10, 3),
                new Shape.Lognormal(10, 3),
                new Shape.Beta(2, 3, 5, 20),
                new Shape.Gamma(4, 2.5),
                new Shape.Exponential(10),
                new Shape.Weibull(2, 11),
                new Shape.Discrete(List.of(new Shape.Point(10, 0.75), new Shape.Point(20, 0.25))),
                new Shape.Cumulative(List.of(new Shape.Point(5, 0), new Shape.Point(9, 0.5), new Shape.Point(30, 1))),
                new Shape.Sample(List.of(7.0, 9.0, 14.0)));
        for (Shape shape : shapes) {
            EstimateRange exact = range("10d", shape, Basis.DAYS);
            CompiledPlan plan =
                    CompiledPlan.of(new PlanBuilder().task("A", 10, shape).build());
            RunResult run = Simulation.run(plan, new RunSettings(20_000, 3, Sampling.LATIN, 2), RunMonitor.NONE);
            double fourErrors = 4 * exact.standardDeviation() / Math.sqrt(20_000);
            assertThat(run.activities().get(0).meanDuration() / 480)
                    .as(shape.toString())
                    .isCloseTo(exact.mean(), within(fourErrors));
        }
    }
}
