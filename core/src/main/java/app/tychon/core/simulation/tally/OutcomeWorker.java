package app.tychon.core.simulation.tally;

import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.draws.Draws;
import app.tychon.core.simulation.engine.BatchWorker;
import app.tychon.core.simulation.engine.Block;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Witness;
import app.tychon.core.simulation.settings.RunSettings;

/** Works off blocks of which finish and cost alone are wanted, as {@link BlockWorker} does those of everything. For one thread at a time. */
public final class OutcomeWorker {
    private final BatchWorker worker;

    public OutcomeWorker(CompiledPlan plan, RunSettings settings) {
        worker = new BatchWorker(plan, new Draws(settings.seed(), settings.sampling()));
    }

    public byte[] work(Block block) {
        Samples samples = new Samples(block.count());
        for (int first = block.first(); first < block.end(); first += Batch.WIDTH) {
            worker.strips(first, Math.min(Batch.WIDTH, block.end() - first), (from, count) -> {
                worker.iterate(worker.batch(from, count), Witness.NONE);
                samples.add(worker, from - block.first(), count);
            });
        }
        Packer out = new Packer();
        samples.pack(out, block.count());
        return out.bytes();
    }

    /** Puts what a block gave to what is kept of its run. */
    public static void merge(Block block, byte[] packed, Samples samples) {
        samples.merge(new Unpacker(packed), block.first(), block.count());
    }
}
