package app.tychon.core.simulation;

import app.tychon.core.simulation.difference.Compared;
import app.tychon.core.simulation.difference.ComparedWorker;
import app.tychon.core.simulation.engine.Block;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Task;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.tally.BlockWorker;
import app.tychon.core.simulation.tally.OutcomeWorker;
import app.tychon.core.simulation.tally.Tallies;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * Works off blocks of a run on another machine: what is put together by {@link Simulation} or
 * {@link app.tychon.core.simulation.difference.Differences} has the same bits as if it had been worked off by one thread. Any threads may work, each at a block of its own.
 */
public final class RunBlocks {
    private final RunSettings settings;
    private final Supplier<Function<Block, byte[]>> worker;
    private final Queue<Function<Block, byte[]>> idle = new ConcurrentLinkedQueue<>();

    private RunBlocks(RunSettings settings, Supplier<Function<Block, byte[]>> worker) {
        this.settings = settings;
        this.worker = worker;
    }

    public static RunBlocks of(Task task) {
        CompiledPlan plan = task.plan();
        RunSettings settings = task.settings();
        Supplier<Function<Block, byte[]>> worker =
                switch (task.wanted()) {
                    case ALL -> workers(Tallies.of(plan, settings), plan, settings);
                    case OUTCOMES -> () -> new OutcomeWorker(plan, settings)::work;
                    case DIFFERENCES -> {
                        Compared compared = Compared.of(plan, settings, task.asked());
                        yield () -> new ComparedWorker(compared)::work;
                    }
                };
        return new RunBlocks(settings, worker);
    }

    /** Of everything, to be put to tallies that there are. */
    static RunBlocks like(Tallies tallies, CompiledPlan plan, RunSettings settings) {
        return new RunBlocks(settings, workers(tallies, plan, settings));
    }

    private static Supplier<Function<Block, byte[]>> workers(Tallies like, CompiledPlan plan, RunSettings settings) {
        return () -> new BlockWorker(plan, settings, like)::work;
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
