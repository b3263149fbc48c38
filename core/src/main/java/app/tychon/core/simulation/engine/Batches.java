package app.tychon.core.simulation.engine;

import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.draws.Draws;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Steadiness;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
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

    /** Keeps what is wanted of a batch, or of a part of it, that has been worked off. */
    @FunctionalInterface
    public interface Keeper {
        void keep(BatchWorker worker, int first, int count);
    }

    /** Rounds, or a share of what is done if that is more, that may be done early of a run that may be enough after any round. */
    private static final int ROUNDS_AHEAD = 4;

    private static final double SHARE_AHEAD = 0.5;

    /** How long to wait for others before looking again. */
    private static final int MILLIS = 20;

    private static final Apart NOBODYS = new Apart() {
        @Override
        public byte[] work(Block block) {
            throw new IllegalStateException("nobody works at " + block);
        }

        @Override
        public void keep(Block block, byte[] packed) {
            throw new IllegalStateException("nobody has worked at " + block);
        }
    };

    private static final Function<BatchWorker, Watch> UNWATCHED = worker -> (first, count) -> Witness.NONE;

    private final RunSettings settings;
    private final RunMonitor monitor;
    private final int round;
    private final Blocks blocks;
    private final Apart apart;
    private final Function<Blocks, Helpers.Help> others;
    private boolean isHelped;
    /** Whether what has not its turn yet is worked at: where more hands are there than a round has work for. */
    private boolean isAhead;

    public Batches(RunSettings settings, RunMonitor monitor) {
        this(settings, monitor, NOBODYS, blocks -> Helpers.NO_HELP);
    }

    /**
     * @param apart what helpers work off and here is put together
     * @param helpers begin when it runs
     */
    public Batches(Task task, RunMonitor monitor, Apart apart, Helpers helpers) {
        this(task.settings(), monitor, apart, blocks -> helpers.begin(task, blocks));
    }

    private Batches(RunSettings settings, RunMonitor monitor, Apart apart, Function<Blocks, Helpers.Help> others) {
        this.settings = settings;
        this.monitor = monitor;
        this.apart = apart;
        this.others = others;
        round = settings.until().isPresent() ? Steadiness.STEP : settings.iterations();
        blocks = new Blocks(settings.iterations(), round, apart, done -> monitor.progress(done, settings.iterations()));
    }

    /** Who watches a batch, or a part of it, as it is worked off. */
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
        return watched(plan, settings, monitor, UNWATCHED, keeper);
    }

    /** The same with the help of others. */
    public static int each(Task task, RunMonitor monitor, Keeper keeper, Apart apart, Helpers helpers) {
        return new Batches(task, monitor, apart, helpers).all(task.plan(), UNWATCHED, keeper);
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
        return new Batches(settings, monitor).all(plan, watch, keeper);
    }

    private int all(CompiledPlan plan, Function<BatchWorker, Watch> watch, Keeper keeper) {
        Draws draws = new Draws(settings.seed(), settings.sampling());
        run(
                () -> {
                    BatchWorker worker = new BatchWorker(plan, draws);
                    Watch own = watch.apply(worker);
                    return (batch, all) -> worker.strips(batch, all, (first, count) -> {
                        worker.iterate(worker.batch(first, count), own.over(first, count));
                        keeper.keep(worker, first, count);
                    });
                },
                done -> false);
        return done();
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
        List<W> workers = new ArrayList<>();
        for (int t = 0; t < settings.threads(); t++) {
            workers.add(worker.get());
        }
        ExecutorService threads =
                workers.size() == 1 ? null : Executors.newFixedThreadPool(workers.size() - 1, Batches::helper);
        try (Helpers.Help coming = others.apply(blocks)) {
            isHelped = coming != Helpers.NO_HELP;
            isAhead = apart != NOBODYS
                    && round < settings.iterations()
                    && (isHelped || settings.threads() * Batch.WIDTH > round);
            for (int end = round; done() < settings.iterations() && !isStopped(); end += round) {
                blocks.open(end, isAhead ? ahead() : 0);
                workOff(workers, threads);
                if (done() >= end && enough.test(done())) {
                    break;
                }
            }
        } finally {
            if (threads != null) {
                threads.shutdownNow();
            }
        }
        if (done() == 0) {
            throw new CancellationException("stopped before the first iterations were done");
        }
        return workers;
    }

    /** Iterations that may be done before their turn. */
    private int ahead() {
        return round * Math.max(ROUNDS_AHEAD, (int) (SHARE_AHEAD * done() / round));
    }

    public int done() {
        return blocks.done();
    }

    /** Iterations from the first on of which none is missing; what threads wrote of them is seen by who asks. */
    public int doneInOrder() {
        return blocks.doneInOrder();
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
    private <W extends Work> void workOff(List<W> workers, ExecutorService threads) {
        List<Future<?>> futures = new ArrayList<>();
        for (W worker : workers.subList(1, workers.size())) {
            futures.add(threads.submit(() -> help(worker)));
        }
        try {
            workOff(workers.get(0));
            if (!futures.isEmpty()) {
                // Whoever still works on a batch may need this thread's turn.
                monitor.rest();
                for (Future<?> future : futures) {
                    future.get();
                }
                monitor.pause();
            }
            blocks.checkFailure();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new CancellationException("interrupted");
        } catch (ExecutionException e) {
            throw new IllegalStateException("the simulation failed: " + e.getCause(), e.getCause());
        }
    }

    private Void help(Work worker) throws InterruptedException {
        try {
            workOff(worker);
        } finally {
            monitor.rest();
        }
        return null;
    }

    private void workOff(Work worker) throws InterruptedException {
        monitor.pause();
        try {
            while (true) {
                if (isStopped()) {
                    blocks.close();
                }
                Optional<Block> block = blocks.takeOwn();
                if (block.isPresent()) {
                    worker.batch(block.get().first(), block.get().count());
                    blocks.finish(block.get());
                    monitor.pause();
                } else if (!isHelped && !isAhead || blocks.isThrough()) {
                    return;
                } else {
                    waitForOthers();
                }
            }
        } catch (RuntimeException | Error e) {
            // Those who wait for what this thread had taken would wait for ever.
            blocks.fail(new IllegalStateException("the simulation failed: " + e, e));
            throw e;
        }
    }

    /**
     * Nothing is left to begin with that has its turn: what somebody has had for long is worked off here as well, or what comes
     * next.
     */
    private void waitForOthers() throws InterruptedException {
        Optional<Block> other = blocks.takeLate().or(() -> blocks.takeAhead(1));
        if (other.isPresent()) {
            blocks.finish(other.get(), apart.work(other.get()));
            monitor.pause();
        } else {
            monitor.rest();
            blocks.await(MILLIS);
            monitor.pause();
        }
    }
}
