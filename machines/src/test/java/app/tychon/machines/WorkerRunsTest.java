package app.tychon.machines;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.core.RandomPlans;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.RunNeeds;
import app.tychon.core.simulation.engine.Block;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Task;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** What a worker keeps of plans and runs, and what it forgets. */
class WorkerRunsTest {
    private static final long PLENTY = 1L << 32;
    private static final byte[] NONE = {};
    /** Of a task all but its plan is told, which may be any. */
    private static final Plan WHOLE = RandomPlans.risky(1, 40);

    private static final PackedPlan ONE = PackedPlan.of(WHOLE);
    private static final PackedPlan OTHER = PackedPlan.of(RandomPlans.risky(2, 40));

    private static Assignment run(PackedPlan plan) {
        RunSettings settings = new RunSettings(10_000, 7, Sampling.LATIN, 1);
        return Assignment.of(UUID.randomUUID().toString(), plan.digest(), Task.all(CompiledPlan.of(WHOLE), settings));
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
    void whereThereIsNoRoomWhatWasUsedLongestAgoIsForgotten() {
        long each = RunNeeds.ofBlocks(ONE.plan(), Task.Wanted.ALL);
        // A plan and one run of two hands; seven tenths of the memory are used.
        WorkerRuns runs = new WorkerRuns(2, (long) ((RunNeeds.ofPlan(ONE.plan()) + 3.1 * each) / 0.7));
        Assignment first = run(ONE);
        assertThat(runs.begin(first, ONE.bytes())).isEqualTo(2);
        // Its server died without a word.
        Assignment next = run(ONE);
        assertThat(runs.begin(next, NONE)).as("the plan stays").isEqualTo(2);
        assertThat(runs.work(first.run(), new Block(0, 500))).isEmpty();
        assertThat(runs.work(next.run(), new Block(0, 500))).isPresent();
        runs.begin(run(OTHER), OTHER.bytes());
        assertThat(runs.work(next.run(), new Block(0, 500))).isEmpty();
        assertThat(runs.begin(first, NONE)).as("needs the plan again").isZero();
    }

    @Test
    void thereAreNoMoreHandsThanThereIsRoomForButAlwaysOne() {
        WorkerRuns runs = new WorkerRuns(8, 1_000_000);
        assertThat(runs.begin(run(ONE), ONE.bytes())).isEqualTo(1);
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
