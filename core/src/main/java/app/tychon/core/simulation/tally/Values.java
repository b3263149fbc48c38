package app.tychon.core.simulation.tally;

import app.tychon.core.schedule.PathTrace;
import app.tychon.core.simulation.engine.BatchWorker;
import app.tychon.core.simulation.engine.Block;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.RunSettings;

/**
 * What is kept of every single iteration of a run, or of a block of it: the project's values, those of outputs that are kept,
 * the driving path. Threads write side by side, each its own iterations.
 */
public final class Values {
    /** Activities on the paths of a block that are sent along; others are worked out again where they turn out to be frequent. */
    private static final long ROOM_OF_A_BLOCK = 200_000;

    public final Samples samples;
    public final OutputSamples outputs;
    public final DrivingPaths paths;
    private int offset;

    private Values(Samples samples, OutputSamples outputs, DrivingPaths paths) {
        this.samples = samples;
        this.outputs = outputs;
        this.paths = paths;
    }

    public static Values ofRun(CompiledPlan plan, RunSettings settings) {
        int n = settings.iterations();
        return new Values(new Samples(n), OutputSamples.of(plan, n), new DrivingPaths(plan.network(), n));
    }

    /** For blocks of at most {@code most} iterations, one after the other. */
    static Values ofBlocks(CompiledPlan plan, RunSettings settings, int most) {
        return new Values(
                new Samples(most),
                OutputSamples.of(plan, settings.iterations(), most),
                new DrivingPaths(plan.network(), most, ROOM_OF_A_BLOCK));
    }

    /** Empties it for a block. */
    void begin(Block block) {
        offset = block.first();
        outputs.clear();
    }

    void add(BatchWorker worker, PathTrace trace, int first, int count) {
        samples.add(worker, first - offset, count);
        outputs.add(worker, first - offset, count);
        paths.add(trace, first - offset, count);
    }

    void pack(Packer out, Block block) {
        samples.pack(out, block.count());
        outputs.pack(out, block.count());
        paths.pack(out, block.count());
    }

    /** Takes over what those of a block have packed. */
    void merge(Unpacker in, Block block) {
        samples.merge(in, block.first(), block.count());
        outputs.merge(in, block.first(), block.count());
        paths.merge(in, block.first(), block.count());
    }
}
