package app.tychon.machines;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.core.RandomPlans;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.RunNeeds;
import app.tychon.core.simulation.engine.Block;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** What a worker keeps of plans and runs, and what it forgets. */
class WorkerRunsTest {
    private static final long PLENTY = 1L << 32;
    private static final byte[] NONE = {};
    private static final PackedPlan ONE = PackedPlan.of(RandomPlans.risky(1, 40));
    private static final PackedPlan OTHER = PackedPlan.of(RandomPlans.risky(2, 40));

    private static Assignment run(PackedPlan plan) {
        return new Assignment(
                UUID.randomUUID().toString(), plan.digest(), 10_000, 7, Sampling.LATIN.name(), Wanted.ALL);
    }

    @Test
    void aPlanIsSentOnceHoweverManyRunsAreMadeOfIt() {
        WorkerRuns runs = new WorkerRuns(3, PLENTY);
        Assignment first = run(ONE);
        assertThat(runs.begin(first, NONE)).as("needs the plan").isZero();
        assertThat(runs.begin(first, ONE.bytes())).isEqualTo(3);
        assertThat(runs.begin(run(ONE), NONE)).isEqualTo(3);
        assertThat(runs.begin(run(OTHER), NONE)).isZero();
    }

    @Test
    void aRunThatHasEndedOrIsNotKnownGivesNothing() {
        WorkerRuns runs = new WorkerRuns(1, PLENTY);
        Assignment what = run(ONE);
        Block block = new Block(500, 500);
        assertThat(runs.work(what.run(), block)).isEmpty();
        runs.begin(what, ONE.bytes());
        byte[] packed = runs.work(what.run(), block).orElseThrow();
        assertThat(runs.work(what.run(), block)).as("again the same").hasValue(packed);
        runs.end(what.run());
        assertThat(runs.work(what.run(), block)).isEmpty();
    }

    @Test
    void whereThereIsRoomForOnePlanTheOtherIsForgottenWithItsRuns() {
        Plan plan = ONE.plan();
        RunSettings settings = new RunSettings(10_000, 7, Sampling.LATIN, 1);
        long enough = 3 * RunNeeds.ofBlocks(plan, settings) + RunNeeds.ofPlan(plan);
        WorkerRuns runs = new WorkerRuns(8, (long) (1.2 * enough));
        Assignment first = run(ONE);
        assertThat(runs.begin(first, ONE.bytes()))
                .as("no more hands than there is room for")
                .isBetween(1, 2);
        runs.begin(run(OTHER), OTHER.bytes());
        assertThat(runs.work(first.run(), new Block(0, 500))).isEmpty();
        assertThat(runs.begin(first, NONE)).as("needs the plan again").isZero();
    }

    @Test
    void whatIsNoPlanIsRefused() {
        WorkerRuns runs = new WorkerRuns(1, PLENTY);
        assertThatThrownBy(() -> runs.begin(run(ONE), new byte[] {1, 2, 3})).isInstanceOf(RuntimeException.class);
        PackedPlan broken = PackedPlan.of(ONE.plan().withActivities(List.of()));
        assertThatThrownBy(() -> runs.begin(run(broken), broken.bytes())).isInstanceOf(InvalidPlanException.class);
        assertThat(runs.begin(run(ONE), ONE.bytes())).isEqualTo(1);
    }
}
