package app.tychon.core.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.RandomPlans;
import app.tychon.core.analysis.CostCauses;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.difference.Differences;
import app.tychon.core.simulation.engine.BatchWorker;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.result.RunResult.CostSamples;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Steadiness;
import app.tychon.core.simulation.settings.Variation;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Plans so large that fewer iterations are worked at side by side: no number is another, and less memory is needed. */
class LargePlanTest {
    private static final int ACTIVITIES = 20_001;
    /** The first and the last of what is worked at together, and one of the next. */
    private static final int[] LOOKED_AT = {0, 99, 100, 149};

    private static final Plan PLAN = RandomPlans.oneCalendar(3, ACTIVITIES);
    private static final RunSettings SETTINGS = new RunSettings(150, 5, Sampling.LATIN, 1);

    private static RunSettings untilSteady(int threads) {
        return new RunSettings(20_000, 5, Sampling.LATIN, threads, Optional.of(new Steadiness(0.05, 0.8)));
    }

    @Test
    void eachFutureIsThatWhichIsSimulatedByItself() {
        CompiledPlan plan = CompiledPlan.of(PLAN);
        assertThat(BatchWorker.width(plan.network().size())).isEqualTo(100);
        Variation shorter =
                plan.variation().shortening(PLAN.activities().get(7).id(), new Variation.Shortening(0.5, 0));
        Outcomes alone = Simulation.outcomes(plan, SETTINGS, RunMonitor.NONE);
        Differences<String> compared =
                Differences.of(plan, SETTINGS, Map.of("shorter", shorter), RunMonitor.NONE, some -> {});
        assertThat(compared.own().finish()).isEqualTo(alone.finish());
        double[] varied = compared.of("shorter").finish();
        for (int i : LOOKED_AT) {
            assertThat(alone.finish()[i])
                    .as("future %d", i)
                    .isEqualTo(Replay.of(plan, SETTINGS, i).finish());
            assertThat(varied[i])
                    .as("future %d of the variation", i)
                    .isEqualTo(Replay.of(plan.with(shorter), SETTINGS, i).finish());
        }
    }

    @Test
    void whatIsAskedOfEachFutureBesideIsThatOfTheFuture() {
        CompiledPlan plan = CompiledPlan.of(PLAN);
        CostSamples money = CostCauses.of(plan, SETTINGS, item -> "all", added -> "all", RunMonitor.NONE)
                .get("all");
        DrivingFutures driving = DrivingFutures.of(plan, SETTINGS, RunMonitor.NONE);
        for (int i : LOOKED_AT) {
            Replay future = Replay.of(plan, SETTINGS, i);
            assertThat(money.spread()[i])
                    .as("scatter of cost of future %d", i)
                    .isCloseTo(future.cost().spread(), within(1e-6))
                    .isNotZero();
            assertThat(driving.length()[i]).as("length of future %d", i).isEqualTo(future.duration());
            int path = driving.pathOf()[i];
            if (path < driving.paths().size()) {
                assertThat(driving.paths().get(path).activities())
                        .as("path of future %d", i)
                        .isEqualTo(future.path());
            }
        }
        assertThat(driving.paths()).as("those that are told one by one").isNotEmpty();
    }

    @Test
    void whatIsDoneBeforeItsTurnIsReckonedWithWhereItIsDone() {
        long plain =
                RunNeeds.of(PLAN, new RunSettings(20_000, 5, Sampling.LATIN, 2)).bytes();
        assertThat(RunNeeds.of(PLAN, untilSteady(2)).bytes())
                .as("two threads have two batches of a round")
                .isEqualTo(plain);
        assertThat(RunNeeds.early(PLAN, untilSteady(2)))
                .as("with the help of others")
                .isPositive();
        assertThat(RunNeeds.early(PLAN, SETTINGS)).as("without rounds").isZero();
        long four =
                RunNeeds.of(PLAN, new RunSettings(20_000, 5, Sampling.LATIN, 4)).bytes();
        assertThat(RunNeeds.of(PLAN, untilSteady(4)).bytes()).isEqualTo(four + RunNeeds.early(PLAN, untilSteady(4)));
    }
}
