package app.tychon.core.simulation;

import app.tychon.core.model.Activity;
import app.tychon.core.schedule.ForwardPass;
import app.tychon.core.schedule.LatePass;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.draws.Draws;
import app.tychon.core.simulation.engine.BatchWorker;
import app.tychon.core.simulation.engine.Batches;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Witness;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.LongAdder;

/**
 * How much float each activity has in the futures, towards the project's finish or what the plan aims at
 * ({@link CompiledPlan#towards}). A backward pass an iteration. O(iterations × (activities + links)).
 */
public final class Floats {
    /** Sums are kept in so many parts of a minute, as whole numbers, so that no order of threads changes them. */
    private static final double PARTS = 1024;

    private Floats() {}

    /**
     * The float of one activity, in working minutes of its own calendar; below zero where a date constraint is missed.
     *
     * @param mean    over all futures
     * @param least   in any
     * @param near    share of futures, 0 to 1, in which it is no more than was asked for
     */
    public record OfActivity(String id, double mean, double least, double near) {}

    private static final class Tally {
        private final LongAdder sum = new LongAdder();
        private final LongAdder near = new LongAdder();
        private double least = Double.POSITIVE_INFINITY;

        synchronized void least(double value) {
            least = Math.min(least, value);
        }
    }

    /**
     * @param nearDays days of an activity's calendar within which it counts as nearly critical
     * @return in the plan's order; nothing for history, hammocks, and what does not lead to the target
     * @throws java.util.concurrent.CancellationException when stopped before anything was done, or interrupted
     */
    public static List<Optional<OfActivity>> of(
            CompiledPlan plan, RunSettings settings, double nearDays, RunMonitor monitor) {
        Network network = plan.network();
        Tally[] tallies = new Tally[network.size()];
        double[] near = new double[network.size()];
        for (int i = 0; i < tallies.length; i++) {
            tallies[i] = new Tally();
            near[i] = nearDays * network.activity(i).minutesPerDay(network.calendar(i));
        }
        Batches batches = new Batches(settings, monitor);
        Draws draws = new Draws(settings.seed(), settings.sampling());
        batches.run(
                () -> {
                    BatchWorker worker = new BatchWorker(plan, draws);
                    LatePass late = new LatePass(network);
                    return (batch, all) -> worker.strips(batch, all, (first, count) -> {
                        worker.iterate(worker.batch(first, count), Witness.NONE);
                        add(plan, worker, late, near, tallies, count);
                    });
                },
                done -> false);
        return inPlanOrder(network, tallies, batches.done());
    }

    private static void add(
            CompiledPlan plan, BatchWorker worker, LatePass late, double[] near, Tally[] tallies, int count) {
        int size = tallies.length;
        double[] sum = new double[size];
        double[] least = new double[size];
        int[] within = new int[size];
        Arrays.fill(least, Double.POSITIVE_INFINITY);
        for (int k = 0; k < count; k++) {
            late.run(worker.lanes, k, plan.target());
            for (int i = 0; i < size; i++) {
                double slack = late.totalFloat(i, worker.lanes, k);
                sum[i] += slack;
                least[i] = Math.min(least[i], slack);
                within[i] += slack <= near[i] + ForwardPass.SAME ? 1 : 0;
            }
        }
        for (int i = 0; i < size; i++) {
            tallies[i].sum.add(Math.round(sum[i] * PARTS));
            tallies[i].near.add(within[i]);
            tallies[i].least(least[i]);
        }
    }

    private static List<Optional<OfActivity>> inPlanOrder(Network network, Tally[] tallies, int iterations) {
        List<Optional<OfActivity>> rows = new ArrayList<>();
        for (Activity activity : network.plan().activities()) {
            int i = network.position(activity.id());
            Tally tally = tallies[i];
            boolean none =
                    activity.isHammock() || network.work(i).isFinished() || tally.least == Double.POSITIVE_INFINITY;
            rows.add(
                    none
                            ? Optional.empty()
                            : Optional.of(new OfActivity(
                                    activity.id(),
                                    tally.sum.sum() / PARTS / iterations,
                                    tally.least,
                                    (double) tally.near.sum() / iterations)));
        }
        return rows;
    }
}
