package app.tychon.core.simulation.engine;

import app.tychon.core.simulation.draws.Batch;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntConsumer;

/**
 * Which iterations of a run are free, which are worked at and which are done. Whoever works takes a block and says when it is
 * finished, or gives it back; one that is out for long may be taken by another as well, and whoever is through first has
 * done it. Each iteration is done once. Any thread may ask.
 */
public final class Blocks {
    /** So many times as long as the last one took is late, */
    private static final double LATE = 3;
    /** but nothing is that was taken so many nanoseconds ago; */
    private static final double SOON = 2e8;
    /** while none was through yet, what is out for longer than this is. */
    private static final double LONG = 1e10;

    /** Who works at a block, since when. */
    private static final class Out {
        private final long since = System.nanoTime();
        /** Whether it can be put to the run by another as well: what the run's own threads do is put there as they do it. */
        private final boolean isApart;

        private int hands = 1;

        Out(boolean isApart) {
            this.isApart = isApart;
        }
    }

    private final int iterations;
    private final Apart apart;
    private final IntConsumer progress;
    private final BitSet finished = new BitSet();
    private final BitSet returned = new BitSet();
    private final Map<Block, Out> out = new HashMap<>();
    private int next;
    private int end;
    private int done;
    private int keeping;
    private RuntimeException failure;
    private boolean closed;
    /** Nanoseconds an iteration took whoever was through last. */
    private double pace;

    /**
     * @param apart keeps what was worked off elsewhere
     * @param progress is told how many are done
     */
    Blocks(int iterations, Apart apart, IntConsumer progress) {
        this.iterations = iterations;
        this.apart = apart;
        this.progress = progress;
    }

    /** From now on iterations before this one may be taken. */
    synchronized void open(int before) {
        end = Math.min(before, iterations);
        notifyAll();
    }

    /** No more are taken, but for those that would leave a gap. */
    synchronized void close() {
        closed = true;
        notifyAll();
    }

    /** Free iterations, of at most so many batches, to be worked off apart; none where there are none. */
    public synchronized Optional<Block> take(int batches) {
        return take(batches, new Out(true));
    }

    /** A batch for one of the run's own threads, which puts away what it gives: nobody else is given it meanwhile. */
    synchronized Optional<Block> takeOwn() {
        return take(1, new Out(false));
    }

    private Optional<Block> take(int batches, Out how) {
        Optional<Block> block = returned.isEmpty() ? fresh(batches) : gap(batches);
        block.ifPresent(one -> out.put(one, how));
        return block;
    }

    private Optional<Block> fresh(int batches) {
        if (closed || next >= end) {
            return Optional.empty();
        }
        Block block = block(next, next + batches * Batch.WIDTH);
        next = block.end();
        return Optional.of(block);
    }

    private Optional<Block> gap(int batches) {
        int from = returned.nextSetBit(0);
        int to = Math.min(returned.nextClearBit(from), from + batches);
        returned.clear(from, to);
        return Optional.of(block(from * Batch.WIDTH, to * Batch.WIDTH));
    }

    private Block block(int first, int before) {
        return new Block(first, Math.min(before, end) - first);
    }

    /**
     * Where nothing is free, a block that one other has had apart for much longer than those before it took; both work at it
     * from now on.
     */
    public synchronized Optional<Block> takeLate() {
        if (!returned.isEmpty() || !closed && next < end) {
            return Optional.empty();
        }
        long now = System.nanoTime();
        Optional<Block> late = out.entrySet().stream()
                .filter(one -> one.getValue().isApart && one.getValue().hands == 1)
                .filter(one -> now - one.getValue().since > patience(one.getKey()))
                .min(Comparator.comparingLong(one -> one.getValue().since))
                .map(Map.Entry::getKey);
        late.ifPresent(block -> out.get(block).hands++);
        return late;
    }

    private double patience(Block block) {
        return pace == 0 ? LONG : Math.max(SOON, LATE * pace * block.count());
    }

    /** Whoever had taken a block does not finish it; it is free again unless another works at it. */
    public synchronized void giveBack(Block block) {
        Out had = out.get(block);
        if (had != null && --had.hands == 0) {
            out.remove(block);
            returned.set(block.firstBatch(), block.endBatch());
            notifyAll();
        }
    }

    /**
     * A block is through that was worked off on its own: keeps what it gave, unless another was first.
     *
     * @return whether it was kept
     */
    public boolean finish(Block block, byte[] packed) {
        if (!claim(block)) {
            return false;
        }
        try {
            synchronized (apart) {
                apart.keep(block, packed);
            }
            count(block);
        } catch (RuntimeException e) {
            fail(e);
        }
        return true;
    }

    /** A block is through whose worker has put away what it gave. */
    void finish(Block block) {
        if (claim(block)) {
            count(block);
        }
    }

    private synchronized boolean claim(Block block) {
        Out had = out.remove(block);
        if (had != null) {
            pace = (System.nanoTime() - had.since) / (double) block.count();
            keeping++;
        }
        return had != null;
    }

    private void count(Block block) {
        int now;
        synchronized (this) {
            finished.set(block.firstBatch(), block.endBatch());
            done += block.count();
            now = done;
            keeping--;
            notifyAll();
        }
        progress.accept(now);
    }

    /** Nothing can come of the run any more, for this reason. */
    public synchronized void fail(RuntimeException reason) {
        failure = reason;
        notifyAll();
    }

    /** @throws RuntimeException the reason, where it has failed */
    synchronized void checkFailure() {
        if (failure != null) {
            throw failure;
        }
    }

    /** Iterations that nobody has taken yet, about. */
    public synchronized int free() {
        return closed ? 0 : end - next + returned.cardinality() * Batch.WIDTH;
    }

    public synchronized int done() {
        return done;
    }

    /** Whether all that may be taken so far is done. */
    synchronized boolean isThrough() {
        return failure != null || returned.isEmpty() && out.isEmpty() && keeping == 0 && (closed || next >= end);
    }

    /** Waits until something changes, or so many milliseconds. */
    public synchronized void await(long millis) throws InterruptedException {
        wait(millis);
    }

    /** Iterations from the first on of which none is missing. */
    synchronized int doneInOrder() {
        return Math.min(iterations, finished.nextClearBit(0) * Batch.WIDTH);
    }
}
