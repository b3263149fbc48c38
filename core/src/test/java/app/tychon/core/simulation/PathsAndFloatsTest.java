package app.tychon.core.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.analysis.SpareTime;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Shape;
import app.tychon.core.schedule.ForwardPass;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Schedule;
import app.tychon.core.schedule.Scheduler;
import app.tychon.core.simulation.Floats.OfActivity;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.DatedPath;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Variation;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Which path drove in which future, how much float was left, and where a plan has time to spare. */
class PathsAndFloatsTest {
    private static final int N = 20_000;
    private static final double DAY = 480;
    private static final RunSettings SETTINGS = new RunSettings(N, 17, Sampling.LATIN, 2);

    /** Two ways of the same uniform length to one end. */
    private static Plan twoWays() {
        return new PlanBuilder()
                .task("S", 5)
                .task("P", 10, new Shape.Uniform(0, 20))
                .task("Q", 10, new Shape.Uniform(0, 20))
                .milestone("E")
                .link("S", "P")
                .link("S", "Q")
                .link("P", "E")
                .link("Q", "E")
                .build();
    }

    @Test
    void eachOfTwoEqualWaysDrivesInHalfOfTheFutures() {
        CompiledPlan plan = CompiledPlan.of(twoWays());
        DrivingFutures driving = DrivingFutures.of(plan, SETTINGS, RunMonitor.NONE);
        assertThat(driving.paths()).hasSize(2);
        assertThat(driving.paths().get(0).futures() + driving.paths().get(1).futures())
                .isEqualTo(N);
        for (int path = 0; path < 2; path++) {
            DatedPath one = driving.paths().get(path);
            assertThat((double) one.futures() / N).isCloseTo(0.5, within(4 * 0.5 / Math.sqrt(N)));
            double sum = 0;
            for (int i = 0; i < N; i++) {
                sum += driving.pathOf()[i] == path ? driving.length()[i] : 0;
            }
            // The larger of two uniforms on (0, 20) has mean 40/3.
            assertThat(sum / one.futures() / DAY).isCloseTo(5 + 40 / 3.0, within(0.2));
            assertThat(one.start()[0])
                    .isEqualTo(plan.schedule().activities().get(0).earlyStart());
        }
    }

    @Test
    void pathsAndTheirDatesAreThoseOfTheFuturesReplayed() {
        CompiledPlan plan = CompiledPlan.of(RandomPlans.risky(5, 30));
        RunSettings few = new RunSettings(1000, 3, Sampling.LATIN, 2);
        DrivingFutures driving = DrivingFutures.of(plan, few, RunMonitor.NONE);
        DatedPath first = driving.paths().get(0);
        double start = 0;
        double finish = 0;
        int last = first.activities().size() - 1;
        for (int i = 0; i < 1000; i++) {
            int path = driving.pathOf()[i];
            if (path < 0 || i % 10 > 0 && path > 0) {
                continue;
            }
            Replay replay = Replay.of(plan, few, i);
            assertThat(driving.paths().get(path).activities()).isEqualTo(replay.path());
            if (path == 0) {
                start += of(replay, first.activities().get(0)).start();
                finish += of(replay, first.activities().get(last)).finish();
            }
        }
        assertThat(first.start()[0]).isCloseTo(start / first.futures(), within(0.01));
        assertThat(first.finish()[last]).isCloseTo(finish / first.futures(), within(0.01));
        assertThat(DrivingFutures.of(plan, new RunSettings(1000, 3, Sampling.LATIN, 1), RunMonitor.NONE)
                        .pathOf())
                .isEqualTo(driving.pathOf());
    }

    private static Replay.ReplayedActivity of(Replay replay, String id) {
        return replay.activities().stream()
                .filter(activity -> activity.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void theFloatOfOneOfTwoUniformsIsWhatTheOtherTakesLonger() {
        List<Optional<OfActivity>> floats = Floats.of(CompiledPlan.of(twoWays()), SETTINGS, 5, RunMonitor.NONE);
        OfActivity start = floats.get(0).orElseThrow();
        assertThat(start.mean()).isCloseTo(0, within(1e-3));
        assertThat(start.near()).isEqualTo(1);
        OfActivity one = floats.get(1).orElseThrow();
        // E max(Y − X, 0) of uniforms on (0, 20) is 20/6, with a second moment of 400/12.
        double sd = Math.sqrt(400 / 12.0 - 400 / 36.0);
        assertThat(one.mean() / DAY).isCloseTo(20 / 6.0, within(4 * sd / Math.sqrt(N)));
        // Within five days: P(Y − X ≤ 5) = 1 − (3/4)²/2.
        double share = 1 - 0.75 * 0.75 / 2;
        assertThat(one.near()).isCloseTo(share, within(4 * Math.sqrt(share * (1 - share) / N)));
        assertThat(one.least()).isCloseTo(0, within(1e-3));
    }

    /** In a plan without uncertainty the float of every future is the plan's own, whatever calendars and links. */
    @Test
    void withoutUncertaintyFloatsAreThoseOfTheCriticalPathMethod() {
        RunSettings once = new RunSettings(1, 1, Sampling.PLAIN, 1);
        for (int seed = 1; seed <= 40; seed++) {
            Plan plan = seed % 2 == 0 ? RandomPlans.manyCalendars(seed, 25) : RandomPlans.underWay(seed, 25);
            CompiledPlan compiled = CompiledPlan.of(plan).with(Variation.CERTAIN);
            Schedule schedule = Scheduler.schedule(Network.of(plan));
            List<Optional<OfActivity>> floats = Floats.of(compiled, once, 0, RunMonitor.NONE);
            for (int row = 0; row < floats.size(); row++) {
                double expected = schedule.activities().get(row).totalFloat();
                floats.get(row).ifPresent(one -> assertThat(one.mean())
                        .as("seed and activity %s", one.id())
                        .isCloseTo(expected, within(0.01)));
            }
        }
    }

    /** What a future's float says can be tried: an activity that takes as much longer does not move the end. */
    @Test
    void noEndMovesWithinTheFloatAndEveryEndMovesBeyondIt() {
        Plan plan = RandomPlans.oneCalendar(9, 15);
        CompiledPlan compiled = CompiledPlan.of(plan).with(Variation.CERTAIN);
        RunSettings once = new RunSettings(1, 1, Sampling.PLAIN, 1);
        double end = Replay.of(compiled, once, 0).finish();
        List<Optional<OfActivity>> floats = Floats.of(compiled, once, 0, RunMonitor.NONE);
        int tried = 0;
        for (int row = 0; row < floats.size(); row++) {
            Activity activity = plan.activities().get(row);
            if (floats.get(row).isEmpty() || activity.isMilestone()) {
                continue;
            }
            double slack = floats.get(row).orElseThrow().mean();
            if (slack < 0) {
                continue;
            }
            tried++;
            assertThat(endWith(compiled, activity.id(), slack)).isLessThanOrEqualTo(end + ForwardPass.SAME);
        }
        assertThat(tried).isGreaterThan(5);
    }

    private static double endWith(CompiledPlan plan, String id, double longer) {
        Variation more = Variation.CERTAIN.shortening(id, new Variation.Shortening(1, -longer));
        return Simulation.outcomes(plan.with(more), new RunSettings(1, 1, Sampling.PLAIN, 1), RunMonitor.NONE)
                .finish()[0];
    }

    @Test
    void floatTowardsAMilestoneIsNothingForWhatDoesNotLeadThere() {
        Plan plan = new PlanBuilder()
                .task("A", 10)
                .task("B", 4)
                .milestone("M")
                .task("C", 90)
                .link("A", "M")
                .link("B", "M")
                .build();
        List<Optional<OfActivity>> floats = Floats.of(CompiledPlan.of(plan).towards("M"), SETTINGS, 0, RunMonitor.NONE);
        assertThat(floats.get(0).orElseThrow().mean()).isZero();
        assertThat(floats.get(1).orElseThrow().mean() / DAY).isCloseTo(6, within(1e-3));
        assertThat(floats.get(3)).isEmpty();
    }

    @Test
    void timeToSpareIsToldWithWhatItCosts() {
        Plan plan = new PlanBuilder()
                .task("A", 30, new Shape.Uniform(10, 20))
                .task("B", 10, new Shape.Uniform(10, 20))
                .task("C", 5)
                .milestone("E")
                .link("A", "E")
                .link("B", "E")
                .link("C", "E")
                .cost("M", "A", 3000, 0, new Shape.Fixed(1))
                .build();
        CompiledPlan compiled = CompiledPlan.of(plan);
        List<SpareTime> spare = SpareTime.of(
                compiled,
                Simulation.run(compiled, SETTINGS, RunMonitor.NONE).activities(),
                Floats.of(compiled, SETTINGS, 0, RunMonitor.NONE),
                80,
                RunMonitor.NONE);
        assertThat(spare).extracting(SpareTime::id).containsExactly("A", "C");
        SpareTime a = spare.get(0);
        assertThat(a.beyond() / DAY).as("30 beyond its P90 of 19").isCloseTo(11, within(1e-6));
        assertThat(a.giveBack() / DAY).as("30 beyond its P80 of 18").isCloseTo(12, within(0.06));
        assertThat(a.money()).isCloseTo(a.giveBack() / DAY * 100, within(1e-6));
        assertThat(a.leastFloat()).isEmpty();
        assertThat(spare.get(1).leastFloat().orElseThrow() / DAY)
                .as("the others take ten days at least")
                .isBetween(5.0, 5.2);
    }
}
