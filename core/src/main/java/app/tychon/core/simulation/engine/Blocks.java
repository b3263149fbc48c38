package app.tychon.core.simulation.engine;

import app.tychon.core.simulation.draws.Batch;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.IntConsumer;

/**
 * Which iterations of a run are free, which are worked at and which are done. Whoever works takes a block and says when it is
 * finished, or gives it back; one that is out for long may be taken by another as well, and whoever is through first has
 * done it. Each iteration is done once. Where a run goes by rounds, because it may be enough after any of them, blocks of the
 * rounds to come may be worked off apart before it is their turn; they are kept when it is. Any thread may ask.
 */
public final class Blocks {
    /** So many times as long as the last one took is late, */
    private static final double LATE = 3;
    /** but nothing is that was taken so many nanoseconds ago; */
    private static final double SOON = 2e8;
    /** while none was through yet, what is out for longer than this is. */
    private static final double LONG = 1e10;
    /** Bytes of what was done before its turn, from which on nothing more is begun so. */
    public static final long MOST_EARLY = 200_000_000;

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
    private final int round;
    private final Apart apart;
    private final IntConsumer progress;
    /** Batches that somebody works at, or is through with. */
    private final BitSet taken = new BitSet();

    private final BitSet finished = new BitSet();
    private final Map<Block, Out> out = new HashMap<>();
    /** What blocks gave whose turn has not come. */
    private final SortedMap<Block, byte[]> early = new TreeMap<>(Comparator.comparingInt(Block::first));

    private long earlyBytes;
    /** Before this iteration is what has its turn, */
    private int end;
    /** and before this what may be done early. */
    private int horizon;

    private int done;
    private int keeping;
    private RuntimeException failure;
    private boolean closed;
    /** Nanoseconds an iteration took whoever was through last. */
    private double pace;

    /**
     * @param round no block goes across a multiple of so many iterations, which are whole batches
     * @param apart keeps what was worked off elsewhere
     * @param progress is told how many are done
     */
    Blocks(int iterations, int round, Apart apart, IntConsumer progress) {
        this.iterations = iterations;
        this.round = round;
        this.apart = apart;
        this.progress = progress;
    }

    /** From now on iterations before this one have their turn, and so many after them may be worked off apart already. */
    void open(int before, int ahead) {
        SortedMap<Block, byte[]> due;
        synchronized (this) {
            end = Math.min(before, iterations);
            horizon = (int) Math.min((long) end + ahead, iterations);
            due = new TreeMap<>(early.headMap(new Block(batches(end) * Batch.WIDTH, 1)));
            early.keySet().removeAll(due.keySet());
            due.values().forEach(packed -> earlyBytes -= packed.length);
            keeping += due.size();
            notifyAll();
        }
        due.forEach(this::keep);
    }

    /** No more are taken, but for those that would leave a gap. */
    synchronized void close() {
        if (!closed) {
            closed = true;
            end = Math.min(end, Batch.WIDTH * (taken.previousSetBit(batches(end) - 1) + 1));
            horizon = end;
            notifyAll();
        }
    }

    /**
     * Free iterations, of at most so many batches, to be worked off apart; none where there are none. Rather such as have
     * not their turn yet: the run's own threads are at those that have.
     */
    public synchronized Optional<Block> take(int batches) {
        return takeAhead(batches).or(() -> take(0, end, batches, new Out(true)));
    }

    /** The same of those that have not their turn yet. */
    synchronized Optional<Block> takeAhead(int batches) {
        return earlyBytes > MOST_EARLY ? Optional.empty() : take(end, horizon, batches, new Out(true));
    }

    /** A batch for one of the run's own threads, which puts away what it gives: nobody else is given it meanwhile. */
    synchronized Optional<Block> takeOwn() {
        return take(0, end, 1, new Out(false));
    }

    private Optional<Block> take(int first, int before, int most, Out how) {
        int from = taken.nextClearBit(batches(first));
        if (from >= batches(before)) {
            return Optional.empty();
        }
        int next = taken.nextSetBit(from);
        int to = Math.min(from + most, next < 0 ? Integer.MAX_VALUE : next);
        int start = from * Batch.WIDTH;
        long border = Math.min(before, round * (start / round + 1L));
        Block block = new Block(start, (int) Math.min((long) to * Batch.WIDTH, border) - start);
        taken.set(block.firstBatch(), block.endBatch());
        out.put(block, how);
        return Optional.of(block);
    }

    /** So many iterations from the first on. */
    private static int batches(int iterations) {
        return (iterations + Batch.WIDTH - 1) / Batch.WIDTH;
    }

    /**
     * Where nothing is free that has its turn, a block that one other has had apart for much longer than those before it took;
     * both work at it from now on.
     */
    public synchronized Optional<Block> takeLate() {
        if (isFree()) {
            return Optional.empty();
        }
        long now = System.nanoTime();
        Optional<Block> late = out.entrySet().stream()
                .filter(one -> one.getKey().first() < end)
                .filter(one -> one.getValue().isApart && one.getValue().hands == 1)
                .filter(one -> now - one.getValue().since > patience(one.getKey()))
                .min(Comparator.comparingLong(one -> one.getValue().since))
                .map(Map.Entry::getKey);
        late.ifPresent(block -> out.get(block).hands++);
        return late;
    }

    /** Whether somebody may begin with something that has its turn. */
    private boolean isFree() {
        return taken.nextClearBit(0) < batches(end);
    }

    private double patience(Block block) {
        return pace == 0 ? LONG : Math.max(SOON, LATE * pace * block.count());
    }

    /** Whoever had taken a block does not finish it; it is free again unless another works at it. */
    public synchronized void giveBack(Block block) {
        Out had = out.get(block);
        if (had != null && --had.hands == 0) {
            out.remove(block);
            taken.clear(block.firstBatch(), block.endBatch());
            notifyAll();
        }
    }

    /**
     * A block is through that was worked off on its own: keeps what it gave, unless another was first.
     *
     * @return whether it was kept
     */
    public boolean finish(Block block, byte[] packed) {
        synchronized (this) {
            if (!claim(block)) {
                return false;
            }
            if (block.first() >= end) {
                early.put(block, packed);
                earlyBytes += packed.length;
                keeping--;
                notifyAll();
                return true;
            }
        }
        keep(block, packed);
        return true;
    }

    private void keep(Block block, byte[] packed) {
        try {
            synchronized (apart) {
                apart.keep(block, packed);
            }
            count(block);
        } catch (RuntimeException e) {
            fail(e);
        }
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

    /** Iterations that nobody has taken yet and somebody may, in whole batches. */
    public synchronized int free() {
        int before = batches(earlyBytes > MOST_EARLY ? end : horizon);
        return closed ? 0 : Batch.WIDTH * (before - taken.get(0, before).cardinality());
    }

    public synchronized int done() {
        return done;
    }

    /** Whether all that has its turn is done. */
    synchronized boolean isThrough() {
        return failure != null
                || !isFree() && keeping == 0 && out.keySet().stream().noneMatch(one -> one.first() < end);
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
