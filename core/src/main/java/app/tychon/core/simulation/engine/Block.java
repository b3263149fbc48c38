package app.tychon.core.simulation.engine;

import app.tychon.core.simulation.draws.Batch;

/**
 * Iterations of a run that are worked off together: whole batches of {@value Batch#WIDTH}, but for the last one of a run.
 *
 * @param first iteration, from 0, the first of a batch
 * @param count how many, at least one
 */
public record Block(int first, int count) {
    /** Iterations of a batch. */
    public static final int BATCH = Batch.WIDTH;

    /** @throws IllegalArgumentException where it does not begin with a batch, or is empty */
    public Block {
        if (first < 0 || first % Batch.WIDTH != 0 || count < 1) {
            throw new IllegalArgumentException("no block has " + count + " iterations from " + first);
        }
    }

    public int end() {
        return first + count;
    }

    int firstBatch() {
        return first / Batch.WIDTH;
    }

    /** After its last batch. */
    int endBatch() {
        return (end() + Batch.WIDTH - 1) / Batch.WIDTH;
    }
}
