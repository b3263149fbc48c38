package app.tychon.core.simulation;

import app.tychon.core.schedule.CriticalTrace;
import app.tychon.core.schedule.ForwardPass;
import app.tychon.core.schedule.Lanes;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Schedule;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntConsumer;

/**
 * The Monte Carlo engine. Iterations are worked off in batches of {@value #BATCH}, side by side per activity in
 * topological order; threads take batches in turn and nothing they add up depends on who took which.
 * O(iterations × (activities + links)).
 */
public final class Simulation {
    /** Iterations side by side; divides the hypercube's block and is a multiple of four. */
    static final int BATCH = 100;

    private final CompiledPlan plan;
    private final RunSettings settings;
    private final RunMonitor monitor;
    private final Draws draws;
    private final double[] finish;
    private final double[] duration;
    private final double[] spread;
    private final double[] timeDriven;
    private final ActivityTallies tallies;
    private final OrderedSums sums;
    private final OrderedSums lineSums;
    private final AtomicInteger nextBatch = new AtomicInteger();
    private final AtomicInteger done = new AtomicInteger();

    private Simulation(CompiledPlan plan, RunSettings settings, RunMonitor monitor) {
        this.plan = plan;
        this.settings = settings;
        this.monitor = monitor;
        draws = new Draws(settings.seed(), settings.sampling());
        finish = new double[settings.iterations()];
        duration = new double[settings.iterations()];
        spread = new double[settings.iterations()];
        timeDriven = new double[settings.iterations()];
        Worker pilot = new Worker();
        int count = Math.min(BATCH, settings.iterations());
        pilot.iterate(0, count, i -> {});
        tallies = ActivityTallies.forPilot(pilot.lanes, count);
        sums = new OrderedSums(ActivityTallies.sumsSize(plan.network().size()));
        lineSums = new OrderedSums(plan.costs().size());
    }

    /**
     * Simulates a plan.
     *
     * @param monitor is told of progress and may ask to stop; then the iterations done by then are the result
     * @throws CancellationException when stopped before anything was done, or the thread is interrupted
     */
    public static RunResult run(CompiledPlan plan, RunSettings settings, RunMonitor monitor) {
        return new Simulation(plan, settings, monitor).run();
    }

    private RunResult run() {
        List<ActivityTallies> parts = settings.threads() == 1 ? List.of(workOff()) : workOffTogether();
        int iterations = done.get();
        if (iterations == 0) {
            throw new CancellationException("stopped before the first iterations were done");
        }
        parts.forEach(tallies::merge);
        Schedule schedule = plan.schedule();
        Network network = plan.network();
        return new RunResult(
                settings,
                iterations,
                Arrays.copyOf(finish, iterations),
                Arrays.copyOf(duration, iterations),
                new RunResult.CostSamples(
                        plan.plannedCost(), Arrays.copyOf(spread, iterations), Arrays.copyOf(timeDriven, iterations)),
                schedule.finish(),
                network.projectTime().work(schedule.finish()) - network.workAtStart(),
                tallies.results(plan, sums.totals(), lineSums.totals(), iterations));
    }

    private List<ActivityTallies> workOffTogether() {
        ExecutorService threads = Executors.newFixedThreadPool(settings.threads());
        try {
            List<Future<ActivityTallies>> futures = new ArrayList<>();
            for (int i = 0; i < settings.threads(); i++) {
                futures.add(threads.submit(this::workOff));
            }
            List<ActivityTallies> parts = new ArrayList<>();
            for (Future<ActivityTallies> future : futures) {
                parts.add(future.get());
            }
            return parts;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new CancellationException("interrupted");
        } catch (ExecutionException e) {
            throw new IllegalStateException("the simulation failed: " + e.getCause(), e.getCause());
        } finally {
            threads.shutdownNow();
        }
    }

    /** Takes batches until there are none left. Whoever has taken one finishes it, so what is done is a prefix. */
    private ActivityTallies workOff() {
        Worker worker = new Worker();
        ActivityTallies part = tallies.sibling();
        int batches = (settings.iterations() + BATCH - 1) / BATCH;
        while (!monitor.stopRequested() && !Thread.currentThread().isInterrupted()) {
            int batch = nextBatch.getAndIncrement();
            if (batch >= batches) {
                break;
            }
            int first = batch * BATCH;
            int count = Math.min(BATCH, settings.iterations() - first);
            double[] batchSums =
                    new double[ActivityTallies.sumsSize(plan.network().size())];
            worker.iterate(first, count, i -> part.addDates(i, worker.lanes, count, batchSums));
            worker.record(first, count);
            part.addCritical(worker.lanes, count);
            sums.add(batch, batchSums);
            lineSums.add(batch, worker.space.lineSums.clone());
            monitor.progress(done.addAndGet(count), settings.iterations());
        }
        return part;
    }

    /** One thread's working space, and the order of an iteration. */
    private final class Worker {
        private final Network network = plan.network();
        private final ForwardPass pass = plan.pass();
        private final CriticalTrace trace = new CriticalTrace(network, pass);
        private final Lanes lanes = new Lanes(network.size(), BATCH);
        private final CostModel.Space space =
                new CostModel.Space(BATCH, plan.costs().size());
        private final double[] batchSpread = new double[BATCH];
        private final double[] batchTimeDriven = new double[BATCH];

        /**
         * Draw a duration and place the activity, one after the other; trace what was critical; add up the money.
         *
         * @param placed is told of each activity while its row is still in the processor's cache
         */
        void iterate(int first, int count, IntConsumer placed) {
            lanes.begin(count);
            for (int i = 0; i < network.size(); i++) {
                plan.duration(i).sample(draws, first, count, lanes.duration[i], space.words);
                pass.place(i, lanes, count);
                placed.accept(i);
            }
            trace.run(lanes, count);
            plan.costs().run(draws, first, count, lanes, space, batchSpread, batchTimeDriven);
        }

        void record(int first, int count) {
            for (int k = 0; k < count; k++) {
                finish[first + k] = pass.endInstant(lanes.end[k]);
                duration[first + k] = pass.projectWork(lanes.end[k]);
            }
            System.arraycopy(batchSpread, 0, spread, first, count);
            System.arraycopy(batchTimeDriven, 0, timeDriven, first, count);
        }
    }
}
