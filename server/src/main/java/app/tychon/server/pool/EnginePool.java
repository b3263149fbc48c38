package app.tychon.server.pool;

import app.tychon.core.simulation.settings.Interim;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.server.memory.Recent;
import app.tychon.server.pool.Turns.Claim;
import app.tychon.server.problems.BusyException;
import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import jakarta.annotation.PreDestroy;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * Everything that simulates does so here: on no more threads at once than there are processors, the most urgent first,
 * one owner (a project, say) after the other, and only once there is room for it in memory. What is less urgent stands
 * still between two batches of futures while something more urgent works, so that it never waits for longer than a batch.
 */
@Component
public final class EnginePool implements MeterBinder {
    /** Pieces of work that may wait for room. */
    private static final int MOST_WAITING = 2000;
    /** Share of the memory that what nobody waits for may take, so that there is room for what somebody does. */
    private static final double SHARE_UNHURRIED = 0.7;

    /** Work that waits for room. */
    private static final class Piece {
        private final Claim claim;
        private final long bytes;
        private final Runnable work;
        private final long number;

        Piece(Claim claim, long bytes, Runnable work, long number) {
            this.claim = claim;
            this.bytes = bytes;
            this.work = work;
            this.number = number;
        }
    }

    private final Turns turns;
    private final long room;
    private final List<Piece> waiting = new ArrayList<>();
    private final ExecutorService threads;
    private long taken;
    private int working;
    private long pieces;

    @Autowired
    EnginePool() {
        this(Runtime.getRuntime().availableProcessors(), Recent.shareOfMemory(0.5));
    }

    /**
     * @param processors how many threads may work at once
     * @param room       bytes that all work may take together; a single piece may take more
     */
    public EnginePool(int processors, long room) {
        turns = new Turns(processors);
        this.room = room;
        AtomicInteger number = new AtomicInteger();
        threads = Executors.newCachedThreadPool(task -> {
            Thread thread = new Thread(task, "engine-" + number.incrementAndGet());
            thread.setDaemon(true);
            return thread;
        });
    }

    /**
     * Begins work when there is room for it, and returns at once.
     *
     * @param owner whom it counts for where several are equally urgent
     * @param bytes about how much memory it takes
     * @param work  is handed what it must give to the engine to be one of many here; its own monitor may be joined by
     *     {@link #watched}
     * @return what it gives, or why not: a {@link CancellationException} where it was never begun
     * @throws BusyException where too much waits already
     */
    public <T> CompletableFuture<T> submit(Urgency urgency, Object owner, long bytes, Function<RunMonitor, T> work) {
        Claim claim = new Claim(urgency, owner);
        CompletableFuture<T> result = new CompletableFuture<>();
        Runnable doing = () -> {
            turns.take(claim);
            try {
                if (!result.isDone()) {
                    result.complete(work.apply(watched(claim, result)));
                }
            } catch (Throwable e) {
                result.completeExceptionally(e);
            } finally {
                turns.leave();
            }
        };
        add(new Piece(claim, bytes, doing, nextNumber()));
        return result;
    }

    /**
     * Does work while the caller waits for it.
     *
     * @throws RuntimeException what the work throws
     * @throws CancellationException when the waiting thread is interrupted; the work stops too
     */
    public <T> T await(Urgency urgency, Object owner, long bytes, Function<RunMonitor, T> work) {
        CompletableFuture<T> result = submit(urgency, owner, bytes, work);
        try {
            return result.get();
        } catch (InterruptedException e) {
            result.cancel(true);
            Thread.currentThread().interrupt();
            throw new CancellationException("interrupted");
        } catch (ExecutionException e) {
            if (e.getCause() instanceof RuntimeException cause) {
                throw cause;
            }
            if (e.getCause() instanceof Error error) {
                throw error;
            }
            throw new IllegalStateException("work in the pool failed", e.getCause());
        }
    }

    /** A monitor that takes turns like {@code pooled}, and watches like another; the other may hold the work up. */
    public RunMonitor watched(RunMonitor pooled, RunMonitor watcher) {
        return new RunMonitor() {
            @Override
            public void begun(Interim interim) {
                watcher.begun(interim);
            }

            @Override
            public void progress(int done, int total) {
                watcher.progress(done, total);
            }

            @Override
            public boolean stopRequested() {
                return pooled.stopRequested() || watcher.stopRequested();
            }

            @Override
            public void pause() {
                watcher.pause();
                pooled.pause();
            }

            @Override
            public void rest() {
                pooled.rest();
            }
        };
    }

    private RunMonitor watched(Claim claim, CompletableFuture<?> result) {
        return new RunMonitor() {
            @Override
            public boolean stopRequested() {
                return result.isCancelled();
            }

            @Override
            public void pause() {
                turns.pass(claim);
            }

            @Override
            public void rest() {
                turns.leave();
            }
        };
    }

    /** A request is being answered: what nobody waits for leaves it a processor. */
    void requestBegun() {
        turns.othersBegin();
    }

    void requestEnded() {
        turns.othersEnd();
    }

    /** Lets others work while the calling thread is held up for a reason of its own. */
    public void standAside() {
        turns.leave();
    }

    @Override
    public void bindTo(MeterRegistry meters) {
        Gauge.builder("tychon.pool.working", this, EnginePool::atWork)
                .description("calculations at work")
                .register(meters);
        Gauge.builder("tychon.pool.waiting", this, EnginePool::inLine)
                .description("calculations that wait for room")
                .register(meters);
    }

    private synchronized int atWork() {
        return working;
    }

    private synchronized int inLine() {
        return waiting.size();
    }

    private synchronized long nextNumber() {
        return ++pieces;
    }

    private synchronized void add(Piece piece) {
        if (waiting.size() >= MOST_WAITING) {
            throw new BusyException("Too much is being calculated already; try again in a moment.");
        }
        waiting.add(piece);
        begin();
    }

    private synchronized void begin() {
        waiting.sort(Comparator.<Piece, Urgency>comparing(piece -> piece.claim.urgency())
                .thenComparingLong(piece -> piece.number));
        for (Piece piece : List.copyOf(waiting)) {
            if (!hasRoom(piece)) {
                return;
            }
            waiting.remove(piece);
            taken += piece.bytes;
            working++;
            threads.execute(() -> {
                try {
                    piece.work.run();
                } finally {
                    end(piece);
                }
            });
        }
    }

    private boolean hasRoom(Piece piece) {
        double most = piece.claim.urgency().isHurried() ? room : SHARE_UNHURRIED * room;
        return working == 0 || taken + piece.bytes <= most;
    }

    private synchronized void end(Piece piece) {
        taken -= piece.bytes;
        working--;
        begin();
    }

    @PreDestroy
    public void close() {
        threads.shutdownNow();
    }
}
