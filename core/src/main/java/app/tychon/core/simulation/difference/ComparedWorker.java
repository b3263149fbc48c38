package app.tychon.core.simulation.difference;

import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.engine.Block;
import app.tychon.core.simulation.tally.Packer;
import app.tychon.core.simulation.tally.Samples;
import app.tychon.core.simulation.tally.Unpacker;
import java.util.List;
import java.util.stream.Stream;

/** Compares blocks on their own, so that another machine can put what they give to its answers. For one thread at a time. */
public final class ComparedWorker {
    private final Compared.Hand hand;
    private final List<Patches> patches;

    public ComparedWorker(Compared compared) {
        hand = compared.new Hand();
        patches = Stream.generate(Patches::new).limit(compared.varied.size()).toList();
    }

    public byte[] work(Block block) {
        Samples samples = new Samples(block.count());
        patches.forEach(Patches::clear);
        for (int first = block.first(); first < block.end(); first += Batch.WIDTH) {
            hand.batch(first, Math.min(Batch.WIDTH, block.end() - first), samples, block.first(), patches);
        }
        Packer out = new Packer();
        samples.pack(out, block.count());
        patches.forEach(one -> one.pack(out, block));
        return out.bytes();
    }

    /**
     * Puts what a block gave to what is kept of all.
     *
     * @throws RuntimeException where the bytes are not of such a block
     */
    static void merge(Block block, byte[] packed, Samples samples, List<Patches> patches) {
        Unpacker in = new Unpacker(packed);
        samples.merge(in, block.first(), block.count());
        patches.forEach(one -> one.merge(in, block));
        if (!in.isAtEnd()) {
            throw new IllegalArgumentException("there is more than was expected of " + block);
        }
    }
}
