package app.tychon.core.simulation;

import app.tychon.core.simulation.engine.Block;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.tally.BlockWorker;
import app.tychon.core.simulation.tally.Tallies;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;

/**
 * Works off blocks of a run for {@link Simulation#run} on another machine: with the same plan and settings, what is put together
 * there has the same bits as if it had been worked off by one thread. Any threads may work, each at a block of its own.
 */
public final class RunBlocks {
    private final CompiledPlan plan;
    private final RunSettings settings;
    private final Tallies like;
    private final Queue<BlockWorker> idle = new ConcurrentLinkedQueue<>();

    /** @param settings of the whole run */
    public RunBlocks(CompiledPlan plan, RunSettings settings) {
        this.plan = plan;
        this.settings = settings;
        like = Tallies.of(plan, settings);
    }

    /**
     * What a block gives, in bytes that only the same version of this program understands.
     *
     * @throws IllegalArgumentException where the run has no such iterations
     */
    public byte[] work(Block block) {
        BlockWorker waiting = idle.poll();
        BlockWorker worker = waiting == null ? new BlockWorker(plan, settings, like) : waiting;
        byte[] packed = worker.work(block);
        idle.add(worker);
        return packed;
    }
}
