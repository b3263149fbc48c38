package app.tychon.core.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Shape;
import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.ActivityResult;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.statistics.Sample;
import app.tychon.core.uncertainty.PertDistribution;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

class SimulationTest {
    private static final int N = 20_000;
    private static final double DAY = 480;

    private static RunResult run(Plan plan, int iterations, Sampling sampling, int threads) {
        return Simulation.run(
                CompiledPlan.of(plan), new RunSettings(iterations, 4711, sampling, threads), RunMonitor.NONE);
    }

    private static RunResult run(PlanBuilder plan) {
        return run(plan.build(), N, Sampling.PLAIN, 2);
    }

    private static Sample days(RunResult result) {
        double[] days = result.duration().clone();
        for (int i = 0; i < days.length; i++) {
            days[i] /= DAY;
        }
        return Sample.of(days);
    }

    /** Four standard errors of a mean. */
    private static Offset<Double> fourErrors(double sd) {
        return within(4 * sd / Math.sqrt(N));
    }

    @Test
    void aChainAddsMeansAndVariances() {
        Sample days = days(run(new PlanBuilder()
                .task("A", 12, new Shape.Triangular(10, 12, 18))
                .task("B", 7, new Shape.Uniform(4, 10))
                .task("C", 20, new Shape.Pert(15, 20, 40, 4))
                .link("A", "B")
                .link("B", "C")));
        double mean = 40 / 3.0 + 7 + (15 + 80 + 40) / 6.0;
        double pertSd = PertDistribution.of(15, 20, 40, 4).standardDeviation();
        double variance = (64 - 16 + 4) / 18.0 + 36 / 12.0 + pertSd * pertSd;
        assertThat(days.mean()).isCloseTo(mean, fourErrors(Math.sqrt(variance)));
        // A variance estimate of near-normal data has standard error sigma^2 sqrt(2/n).
        assertThat(Math.pow(days.standardDeviation(), 2))
                .isCloseTo(variance, within(4 * variance * Math.sqrt(2.0 / N)));
    }

    /** E max of k uniforms on (0, 1) is k/(k + 1), its variance k/((k + 1)²(k + 2)): merge bias. */
    @Test
    void equalParallelPathsFinishLaterThanAnyOfThem() {
        for (int k : new int[] {2, 5}) {
            PlanBuilder plan = new PlanBuilder();
            for (int i = 0; i < k; i++) {
                plan.task("P" + i, 15, new Shape.Uniform(10, 20));
            }
            RunResult result = run(plan);
            double sd = 10 * Math.sqrt(k / ((k + 1.0) * (k + 1) * (k + 2)));
            assertThat(days(result).mean()).isCloseTo(10 + 10.0 * k / (k + 1), fourErrors(sd));
            double share = 1.0 / k;
            for (ActivityResult activity : result.activities()) {
                assertThat(activity.criticality()).isCloseTo(share, fourErrors(Math.sqrt(share * (1 - share))));
            }
        }
    }

    /** A project that was begun a moment ago: it ends where it begins, and nothing about it is uncertain. */
    @Test
    void aPlanOfNothingEndsAtItsStart() {
        CompiledPlan plan = CompiledPlan.of(new PlanBuilder().build());
        RunResult result = Simulation.run(plan, new RunSettings(500, 1, Sampling.LATIN, 2), RunMonitor.NONE);
        double start = Instants.of(PlanBuilder.START);
        assertThat(result.finish()).containsOnly(start);
        assertThat(result.start()).containsOnly(start);
        assertThat(result.duration()).containsOnly(0);
        assertThat(result.planFinish()).isEqualTo(start);
    }

    @Test
    void everyActivityOfASeriesIsAlwaysCritical() {
        RunResult result = run(new PlanBuilder()
                .task("A", 3, new Shape.Uniform(2, 4))
                .task("B", 3, new Shape.Triangular(2, 3, 9))
                .link("A", "B"));
        assertThat(result.activities()).extracting(ActivityResult::criticality).containsOnly(1.0);
    }

    @Test
    void percentilesOfOneActivityAreThoseOfItsShape() {
        Shape.Triangular shape = new Shape.Triangular(10, 12, 18);
        RunResult result = run(new PlanBuilder().task("A", 12, shape).build(), N, Sampling.LATIN, 1);
        Sample days = days(result);
        double p80 = 18 - Math.sqrt(0.2 * 8 * 6);
        assertThat(days.percentile(0.8)).isCloseTo(p80, within(8.0 / Batch.WIDTH));
        ActivityResult activity = result.activities().get(0);
        double bin = 0.005 * 8;
        assertThat(activity.duration()[79] / DAY).isCloseTo(p80, within(bin));
        assertThat(activity.meanDuration() / DAY).isCloseTo(40 / 3.0, within(0.01));
        assertThat(activity.sdDuration()).isCloseTo(Sample.of(result.duration()).standardDeviation(), within(1e-6));
        double binMinutes = bin * DAY * 4;
        assertThat(activity.meanFinish()).isCloseTo(Sample.of(result.finish()).mean(), within(binMinutes));
        assertThat(activity.meanStart()).isEqualTo(activity.start()[0]);
        assertThat(activity.finish()[79]).isCloseTo(Sample.of(result.finish()).percentile(0.8), within(binMinutes));
    }

    @Test
    void timeDrivenCostIsALinearMapOfDuration() {
        RunResult result = run(new PlanBuilder()
                .task("A", 10, new Shape.Uniform(5, 25))
                .cost("crane", "A", 8000, 0.25, null)
                .cost("site", "project", 1000, 0, null));
        double[] totals = result.cost().totals();
        for (int i = 0; i < N; i++) {
            double ratio = result.duration()[i] / (10 * DAY);
            assertThat(totals[i]).isCloseTo(2000 + 6000 * ratio + 1000 * ratio, within(1e-6));
        }
        assertThat(result.cost().spread()).containsOnly(0.0);
    }

    @Test
    void uncertainAmountsSpreadTheCostAtPlannedDurations() {
        RunResult result = run(new PlanBuilder()
                .task("A", 10)
                .cost("mirror", "A", 1000, 0.5, new Shape.Uniform(1, 3))
                .cost("branch", "W", 500, 0, null));
        Sample cost = Sample.of(result.cost().totals());
        assertThat(cost.mean()).isCloseTo(2500, fourErrors(2000 / Math.sqrt(12)));
        assertThat(result.cost().timeDriven()).containsOnly(0.0);
        assertThat(result.cost().planned()).isEqualTo(1500);
        // What stands on the branch is not the activity's.
        assertThat(result.activities().get(0).meanCost()).isCloseTo(cost.mean() - 500, within(1e-6));
    }

    @Test
    void certainPlansRepeatTheDeterministicPass() {
        for (int seed = 0; seed < 40; seed++) {
            Plan random = seed % 2 == 0 ? RandomPlans.manyCalendars(seed, 30) : RandomPlans.oneCalendar(seed, 30);
            Plan certain = random.withActivities(random.activities().stream()
                    .map(a -> a.withEstimate(Optional.empty()))
                    .toList());
            RunResult result = run(certain, 3, Sampling.LATIN, 1);
            for (double finish : result.finish()) {
                assertThat(finish).isCloseTo(result.planFinish(), within(1e-6));
            }
            for (double duration : result.duration()) {
                assertThat(duration).isCloseTo(result.planDuration(), within(1e-6));
            }
        }
    }

    @Test
    void moreThreadsAndAnyOrderOfRowsGiveTheSameBits() {
        Plan plan = RandomPlans.manyCalendars(11, 60);
        RunResult one = run(plan, 1730, Sampling.LATIN, 1);
        assertSame(one, run(plan, 1730, Sampling.LATIN, 5));

        List<Activity> shuffled = new ArrayList<>(plan.activities());
        Collections.shuffle(shuffled, new Random(3));
        RunResult other = run(plan.withActivities(shuffled), 1730, Sampling.LATIN, 2);
        assertThat(other.finish()).isEqualTo(one.finish());
        assertThat(other.cost().totals()).isEqualTo(one.cost().totals());
    }

    private static void assertSame(RunResult one, RunResult other) {
        assertThat(other.finish()).isEqualTo(one.finish());
        assertThat(other.cost().totals()).isEqualTo(one.cost().totals());
        assertThat(other.activities()).usingRecursiveComparison().isEqualTo(one.activities());
    }

    @Test
    void aShorterRunIsTheBeginningOfALongerOne() {
        Plan plan = RandomPlans.oneCalendar(12, 30);
        double[] shorter = run(plan, 1000, Sampling.LATIN, 1).finish();
        double[] longer = run(plan, 2000, Sampling.LATIN, 2).finish();
        assertThat(longer).startsWith(shorter);
    }

    @Test
    void latinHypercubeNarrowsTheErrorOfTheMean() {
        Plan plan = new PlanBuilder()
                .task("A", 12, new Shape.Triangular(10, 12, 18))
                .task("B", 12, new Shape.Pert(10, 12, 18, 4))
                .link("A", "B")
                .build();
        double exact = 40 / 3.0 + 76 / 6.0;
        double plain = Math.abs(days(run(plan, N, Sampling.PLAIN, 1)).mean() - exact);
        double latin = Math.abs(days(run(plan, N, Sampling.LATIN, 1)).mean() - exact);
        assertThat(latin).isLessThan(plain / 10);
    }

    @Test
    void fewerLinksNeverFinishLater() {
        for (int seed = 0; seed < 25; seed++) {
            Plan plan = RandomPlans.manyCalendars(seed, 30);
            double[] before = run(plan, 100, Sampling.LATIN, 1).finish();
            double[] fewer = run(
                            plan.withLinks(plan.links().subList(1, plan.links().size())), 100, Sampling.LATIN, 1)
                    .finish();
            for (int i = 0; i < before.length; i++) {
                assertThat(fewer[i]).isLessThanOrEqualTo(before[i] + 1e-6);
            }
        }
    }

    @Test
    void aStoppedRunKeepsWhatWasDone() {
        Plan plan = RandomPlans.oneCalendar(5, 20);
        AtomicInteger seen = new AtomicInteger();
        RunMonitor stopAfterAThousand = new RunMonitor() {
            @Override
            public void progress(int done, int total) {
                seen.set(done);
            }

            @Override
            public boolean stopRequested() {
                return seen.get() >= 1000;
            }
        };
        RunResult stopped = Simulation.run(
                CompiledPlan.of(plan), new RunSettings(5000, 4711, Sampling.LATIN, 1), stopAfterAThousand);
        assertThat(stopped.iterations()).isEqualTo(1000);
        assertThat(run(plan, 1000, Sampling.LATIN, 1).finish()).isEqualTo(stopped.finish());
    }

    @Test
    void aRunStoppedBeforeItBeganHasNoResult() {
        RunMonitor never = RunMonitor.until(() -> true);
        CompiledPlan plan = CompiledPlan.of(RandomPlans.oneCalendar(5, 20));
        RunSettings settings = new RunSettings(100, 1, Sampling.PLAIN, 1);
        assertThatThrownBy(() -> Simulation.run(plan, settings, never)).isInstanceOf(CancellationException.class);
    }

    @Test
    void impossibleSettingsAreRefused() {
        assertThatThrownBy(() -> new RunSettings(0, 1, Sampling.LATIN, 1)).hasMessageContaining("not 0");
        assertThatThrownBy(() -> new RunSettings(10, 1, Sampling.LATIN, 0)).hasMessageContaining("threads");
    }
}
