package app.tychon.core.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.model.Action;
import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Shape;
import app.tychon.core.model.WorkDuration;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.money.ResponseActions;
import app.tychon.core.simulation.result.BranchResult;
import app.tychon.core.simulation.result.Output;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.Interim;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.tally.OutputSamples;
import app.tychon.core.statistics.Sample;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** All values of one activity, milestone or branch, kept by a run or simulated for it afterwards. */
class OutputTest {
    private static final RunSettings SETTINGS = new RunSettings(3000, 7, Sampling.LATIN, 2);

    @Test
    void whatIsSimulatedAfterwardsIsWhatTheRunHadKept() {
        CompiledPlan plan = CompiledPlan.of(RandomPlans.risky(11, 60));
        RunResult run = Simulation.run(plan, SETTINGS, RunMonitor.NONE);
        assertThat(run.outputs()).isNotEmpty();
        for (Output kept : run.outputs()) {
            Output again = Outputs.of(plan, SETTINGS, SETTINGS.iterations(), kept.id(), RunMonitor.NONE);
            assertThat(again.kind()).isEqualTo(kept.kind());
            assertThat(again.start()).isEqualTo(kept.start());
            assertThat(again.finish()).isEqualTo(kept.finish());
            assertThat(again.duration()).isEqualTo(kept.duration());
            assertThat(again.cost()).isEqualTo(kept.cost());
        }
    }

    @Test
    void theWholeProjectIsABranchToo() {
        CompiledPlan plan = CompiledPlan.of(RandomPlans.risky(12, 40));
        RunResult run = Simulation.run(plan, SETTINGS, RunMonitor.NONE);
        Output project = Outputs.of(plan, SETTINGS, SETTINGS.iterations(), Plan.PROJECT, RunMonitor.NONE);
        assertThat(project.finish()).isEqualTo(run.finish());
        assertThat(project.start()).isEqualTo(run.start());
        // What responses cost stands on nothing, decided or not.
        double responses = run.cost().actions()
                + ResponseActions.decided(plan.network().plan()).stream()
                        .mapToDouble(Action::cost)
                        .sum();
        assertThat(responses).isPositive();
        double[] totals = run.cost().totals();
        for (int i = 0; i < totals.length; i++) {
            assertThat(project.cost()[i] + responses).isCloseTo(totals[i], within(1e-6 * totals[i]));
        }
    }

    @Test
    void anyActivityAgreesWithTheReplayOfEachIteration() {
        CompiledPlan plan = CompiledPlan.of(RandomPlans.manyCalendars(3, 25));
        List<Activity> activities = plan.network().plan().activities();
        int last = activities.size() - 1;
        Output output = Outputs.of(plan, SETTINGS, 40, activities.get(last).id(), RunMonitor.NONE);
        for (int i = 0; i < 40; i++) {
            Replay.ReplayedActivity replayed =
                    Replay.of(plan, SETTINGS, i).activities().get(last);
            assertThat(output.start()[i]).isEqualTo(replayed.start());
            assertThat(output.finish()[i]).isEqualTo(replayed.finish());
            assertThat(output.duration()[i]).isEqualTo(replayed.duration());
        }
    }

    @Test
    void percentilesOfABranchAreThoseOfItsValuesWithinABin() {
        CompiledPlan plan = CompiledPlan.of(RandomPlans.oneCalendar(5, 80));
        RunResult run = Simulation.run(plan, SETTINGS, RunMonitor.NONE);
        assertThat(run.branches()).isNotEmpty();
        for (BranchResult branch : run.branches()) {
            Output all = run.output(branch.id()).orElseThrow();
            Sample finish = Sample.of(all.finish());
            // Bins lie in working time; over nights and weekends one may be as wide as three days.
            double bin = 0.005 * (finish.max() - finish.min()) + 3 * 1440;
            for (int p = 1; p <= 99; p++) {
                assertThat(branch.finish()[p - 1]).isCloseTo(finish.percentile(p / 100.0), within(bin));
                assertThat(branch.start()[p - 1]).isLessThanOrEqualTo(branch.finish()[p - 1]);
            }
        }
    }

    /** Of two equal parallel paths in branches of their own each drives in half of all futures; above both, always. */
    @Test
    void aBranchIsAsCriticalAsTheFuturesInWhichItHeldTheLongestPath() {
        PlanBuilder plan = new PlanBuilder().branch("L", "W").branch("R", "W");
        for (String side : List.of("L", "R")) {
            plan.activity(new PlanBuilder()
                    .task(side + "1", 15, new Shape.Uniform(10, 20))
                    .build()
                    .activities()
                    .get(0)
                    .withWbs(side));
        }
        RunResult run = Simulation.run(CompiledPlan.of(plan.build()), SETTINGS, RunMonitor.NONE);
        double fourErrors = 4 * Math.sqrt(0.25 / SETTINGS.iterations());
        for (BranchResult branch : run.branches()) {
            if (branch.id().equals("W")) {
                assertThat(branch.criticality()).isEqualTo(1);
            } else {
                assertThat(branch.criticality()).isCloseTo(0.5, within(fourErrors));
            }
        }
    }

    @Test
    void aLongRunKeepsOnlyWhatThereIsRoomForAndAlwaysWhatIsWatched() {
        PlanBuilder plan = new PlanBuilder();
        for (int i = 0; i < 30; i++) {
            plan.milestone("M" + i);
        }
        Plan many = plan.activity(Activity.of("A", "W", "Watched", ActivityKind.TASK, WorkDuration.days(1), "std")
                        .withWatch(true))
                .build();
        CompiledPlan compiled = CompiledPlan.of(many);
        int iterations = 200_000;
        OutputSamples samples = OutputSamples.of(compiled, iterations);
        List<String> kept = samples.result(0).stream().map(Output::id).toList();
        assertThat(kept).contains("A", "M0").hasSize(1 + OutputSamples.MOST_VALUES / 4 / iterations);
    }

    @Test
    void whatIsNotThereIsRefused() {
        CompiledPlan plan =
                CompiledPlan.of(new PlanBuilder().task("A", 1).branch("E", "W").build());
        for (String id : List.of("B", "E")) {
            assertThatThrownBy(() -> Outputs.of(plan, SETTINGS, 100, id, RunMonitor.NONE))
                    .hasMessageContaining("\"" + id + "\"");
        }
    }

    @Test
    void whatARunHasSeenSoFarIsWhatAShorterRunGives() {
        CompiledPlan plan = CompiledPlan.of(RandomPlans.risky(4, 30));
        List<Interim.Values> seen = new ArrayList<>();
        List<Double> widths = new ArrayList<>();
        RunMonitor watching = new RunMonitor() {
            private Interim interim;

            @Override
            public void begun(Interim begun) {
                interim = begun;
                assertThat(interim.values().iterations()).isZero();
            }

            @Override
            public synchronized void progress(int done, int total) {
                Interim.Values values = interim.values();
                if (values.iterations() > 0) {
                    seen.add(values);
                    widths.add(interim.unsteadiness(0.8, 0.95, values.iterations()));
                }
            }
        };
        RunResult run = Simulation.run(plan, SETTINGS, watching);
        assertThat(seen).hasSizeGreaterThan(2);
        for (Interim.Values values : seen) {
            int n = values.iterations();
            assertThat(values.finish()).isEqualTo(Arrays.copyOf(run.finish(), n));
            assertThat(values.duration()).isEqualTo(Arrays.copyOf(run.duration(), n));
            assertThat(values.cost()).isEqualTo(Arrays.copyOf(run.cost().totals(), n));
        }
        assertThat(IntStream.range(0, seen.size()).filter(i -> seen.get(i).iterations() == SETTINGS.iterations()))
                .isNotEmpty();
        assertThat(widths.get(widths.size() - 1)).isBetween(0.0, widths.get(0));
    }
}
