package app.tychon.core.simulation.engine;

import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.draws.Draws;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Steadiness;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import java.util.function.IntPredicate;
import java.util.function.Supplier;

/**
 * Hands batches of {@value Batch#WIDTH} iterations to threads, in turn. Whoever has taken one finishes it, so what
 * is done is always the beginning of the run, whoever did which.
 */
public final class Batches {
    /** One thread's work: does a batch. */
    @FunctionalInterface
    public interface Work {
        void batch(int first, int count);
    }

    /** Keeps what is wanted of a batch that has been worked off. */
    @FunctionalInterface
    public interface Keeper {
        void keep(BatchWorker worker, int first, int count);
    }

    private final RunSettings settings;
    private final RunMonitor monitor;
    private final AtomicInteger next = new AtomicInteger();
    private final AtomicInteger done = new AtomicInteger();
    private final BitSet finished = new BitSet();

    public Batches(RunSettings settings, RunMonitor monitor) {
        this.settings = settings;
        this.monitor = monitor;
    }

    /** Who watches a batch as it is worked off. */
    @FunctionalInterface
    public interface Watch {
        Witness over(int first, int count);
    }

    /**
     * Works off all iterations of a plan.
     *
     * @return how many were done
     * @throws CancellationException as {@link #run}
     */
    public static int each(CompiledPlan plan, RunSettings settings, RunMonitor monitor, Keeper keeper) {
        return watched(plan, settings, monitor, worker -> (first, count) -> Witness.NONE, keeper);
    }

    /**
     * The same, watched.
     *
     * @param watch made for each thread; given the thread's worker
     */
    public static int watched(
            CompiledPlan plan,
            RunSettings settings,
            RunMonitor monitor,
            Function<BatchWorker, Watch> watch,
            Keeper keeper) {
        Draws draws = new Draws(settings.seed(), settings.sampling());
        Batches batches = new Batches(settings, monitor);
        batches.run(
                () -> {
                    BatchWorker worker = new BatchWorker(plan, draws, Batch.WIDTH);
                    Watch own = watch.apply(worker);
                    return (first, count) -> {
                        worker.iterate(worker.batch(first, count), own.over(first, count));
                        keeper.keep(worker, first, count);
                    };
                },
                done -> false);
        return batches.done();
    }

    /**
     * Works off the run.
     *
     * @param <W>    what each thread works with
     * @param enough asked between rounds, with the iterations done, whether they suffice
     * @return what each thread worked with
     * @throws CancellationException when stopped before anything was done, or the thread is interrupted
     */
    public <W extends Work> List<W> run(Supplier<W> worker, IntPredicate enough) {
        int round = settings.until().isPresent() ? Steadiness.STEP : settings.iterations();
        List<W> workers = new ArrayList<>();
        for (int t = 0; t < settings.threads(); t++) {
            workers.add(worker.get());
        }
        ExecutorService helpers =
                workers.size() == 1 ? null : Executors.newFixedThreadPool(workers.size() - 1, Batches::helper);
        try {
            for (int end = round; done.get() < settings.iterations() && !isStopped(); end += round) {
                workOff(workers, helpers, Math.min(end, settings.iterations()));
                if (done.get() >= end && enough.test(done.get())) {
                    break;
                }
            }
        } finally {
            if (helpers != null) {
                helpers.shutdownNow();
            }
        }
        if (done.get() == 0) {
            throw new CancellationException("stopped before the first iterations were done");
        }
        return workers;
    }

    public int done() {
        return done.get();
    }

    /** Iterations from the first on of which none is missing; what threads wrote of them is seen by who asks. */
    public int doneInOrder() {
        synchronized (finished) {
            return Math.min(settings.iterations(), finished.nextClearBit(0) * Batch.WIDTH);
        }
    }

    private boolean isStopped() {
        return monitor.stopRequested() || Thread.currentThread().isInterrupted();
    }

    private static Thread helper(Runnable task) {
        Thread thread = new Thread(task, "batches");
        thread.setDaemon(true);
        return thread;
    }

    /** The calling thread works too. */
    private <W extends Work> void workOff(List<W> workers, ExecutorService helpers, int end) {
        List<Future<?>> futures = new ArrayList<>();
        for (W worker : workers.subList(1, workers.size())) {
            futures.add(helpers.submit(() -> help(worker, end)));
        }
        try {
            workOff(workers.get(0), end);
            if (!futures.isEmpty()) {
                // Whoever still works on a batch may need this thread's turn.
                monitor.rest();
                for (Future<?> future : futures) {
                    future.get();
                }
                monitor.pause();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new CancellationException("interrupted");
        } catch (ExecutionException e) {
            throw new IllegalStateException("the simulation failed: " + e.getCause(), e.getCause());
        }
    }

    private void help(Work worker, int end) {
        try {
            workOff(worker, end);
        } finally {
            monitor.rest();
        }
    }

    private void workOff(Work worker, int end) {
        monitor.pause();
        while (!isStopped()) {
            int first = next.getAndAdd(Batch.WIDTH);
            if (first >= end) {
                next.addAndGet(-Batch.WIDTH);
                return;
            }
            int count = Math.min(Batch.WIDTH, end - first);
            worker.batch(first, count);
            synchronized (finished) {
                finished.set(first / Batch.WIDTH);
            }
            monitor.progress(done.addAndGet(count), settings.iterations());
            monitor.pause();
        }
    }
}
