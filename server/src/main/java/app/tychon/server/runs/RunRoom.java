package app.tychon.server.runs;

import app.tychon.core.simulation.RunNeeds;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.server.memory.Recent;
import app.tychon.server.plan.LoadedPlan;
import java.util.UUID;

/** Whether there is room for one more run: in memory, and in the line of those that wait. */
final class RunRoom {
    /** What one run may take while it works. */
    private static final long MOST_BYTES = Recent.shareOfMemory(0.4);

    private final RunQueue queue;

    RunRoom(RunQueue queue) {
        this.queue = queue;
    }

    /**
     * Before anything of a run is kept.
     *
     * @throws app.tychon.server.problems.BusyException where too many wait
     * @throws IllegalArgumentException where it would take more memory than there is
     */
    void check(UUID project, LoadedPlan plan, RunSettings settings) {
        RunNeeds needs = RunNeeds.of(plan.plan(), settings);
        if (needs.watched() > RunNeeds.MOST_WATCHED) {
            throw new IllegalArgumentException(
                    "The watched activities would keep %,d values, of which a run may keep %,d. Watch fewer of them, or simulate fewer iterations."
                            .formatted(needs.watched(), RunNeeds.MOST_WATCHED));
        }
        if (needs.bytes() > MOST_BYTES) {
            throw new IllegalArgumentException(
                    "%,d iterations of this plan would take about %,d MB of memory, of which a run may have %,d. Simulate fewer iterations, or watch fewer activities."
                            .formatted(settings.iterations(), needs.bytes() >> 20, MOST_BYTES >> 20));
        }
        queue.checkRoom(project);
    }
}
