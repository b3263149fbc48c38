package app.tychon.core.simulation.tally;

import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.engine.Block;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.RunSettings;

/**
 * Works off blocks of a run on their own, one after the other: what each gives is packed, so that another machine can put it to
 * its run. For one thread at a time.
 */
public final class BlockWorker {
    private final CompiledPlan plan;
    private final RunSettings settings;
    private final Recorder recorder;
    private Values values;
    private int room;

    /** @param like tallies of the run */
    public BlockWorker(CompiledPlan plan, RunSettings settings, Tallies like) {
        this.plan = plan;
        this.settings = settings;
        recorder = new Recorder(plan, settings, like);
    }

    public byte[] work(Block block) {
        if (block.count() > room) {
            room = block.count();
            values = Values.ofBlocks(plan, settings, room);
        }
        values.begin(block);
        recorder.tallies.clear();
        Packer out = new Packer();
        for (int first = block.first(); first < block.end(); first += Batch.WIDTH) {
            double[] sums = recorder.batch(first, Math.min(Batch.WIDTH, block.end() - first), values);
            out.reals(sums, sums.length);
        }
        values.pack(out, block);
        recorder.tallies.pack(out);
        return out.bytes();
    }

    /**
     * Puts what a block gave to what is kept of its run.
     *
     * @throws RuntimeException where the bytes are not of such a block
     */
    public static void merge(Block block, byte[] packed, Values values, OrderedSums sums, Tallies tallies) {
        Unpacker in = new Unpacker(packed);
        for (int first = block.first(); first < block.end(); first += Batch.WIDTH) {
            sums.add(first / Batch.WIDTH, in.reals(sums.size()));
        }
        values.merge(in, block);
        tallies.merge(in);
        if (!in.isAtEnd()) {
            throw new IllegalArgumentException("there is more than was expected of " + block);
        }
    }
}
