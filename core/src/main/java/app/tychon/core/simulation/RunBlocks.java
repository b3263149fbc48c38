package app.tychon.core.simulation;

import app.tychon.core.simulation.engine.Block;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.tally.BlockWorker;
import app.tychon.core.simulation.tally.OutcomeWorker;
import app.tychon.core.simulation.tally.Tallies;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * Works off blocks of a run on another machine: with the same plan and settings, what is put together by {@link Simulation} has the
 * same bits as if it had been worked off by one thread. Any threads may work, each at a block of its own.
 */
public final class RunBlocks {
    private final RunSettings settings;
    private final Supplier<Function<Block, byte[]>> worker;
    private final Queue<Function<Block, byte[]>> idle = new ConcurrentLinkedQueue<>();

    private RunBlocks(RunSettings settings, Supplier<Function<Block, byte[]>> worker) {
        this.settings = settings;
        this.worker = worker;
    }

    /**
     * Of everything, for {@link Simulation#run}.
     *
     * @param settings of the whole run
     */
    public static RunBlocks of(CompiledPlan plan, RunSettings settings) {
        Tallies like = Tallies.of(plan, settings);
        return new RunBlocks(settings, () -> new BlockWorker(plan, settings, like)::work);
    }

    /** Of finish and cost alone, for {@link Simulation#outcomes}. */
    public static RunBlocks outcomes(CompiledPlan plan, RunSettings settings) {
        return new RunBlocks(settings, () -> new OutcomeWorker(plan, settings)::work);
    }

    /**
     * What a block gives, in bytes that only the same version of this program understands.
     *
     * @throws IllegalArgumentException where the run has no such iterations
     */
    public byte[] work(Block block) {
        if (block.end() > settings.iterations()) {
            throw new IllegalArgumentException(block + " of a run of " + settings.iterations());
        }
        Function<Block, byte[]> waiting = idle.poll();
        Function<Block, byte[]> own = waiting == null ? worker.get() : waiting;
        byte[] packed = own.apply(block);
        idle.add(own);
        return packed;
    }
}
