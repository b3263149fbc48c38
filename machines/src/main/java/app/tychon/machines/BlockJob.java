package app.tychon.machines;

import app.tychon.core.simulation.engine.Block;
import org.apache.ignite.Ignite;
import org.apache.ignite.lang.IgniteCallable;
import org.apache.ignite.resources.IgniteInstanceResource;

/** Works off a block of a run; gives nothing, an empty array, where the worker does not know the run. */
final class BlockJob implements IgniteCallable<byte[]> {
    private static final long serialVersionUID = 1;

    private final String run;
    private final int first;
    private final int count;

    @IgniteInstanceResource
    private transient Ignite ignite;

    BlockJob(String run, Block block) {
        this.run = run;
        first = block.first();
        count = block.count();
    }

    @Override
    public byte[] call() {
        return Worker.runsOf(ignite).work(run, new Block(first, count)).orElse(new byte[0]);
    }
}
