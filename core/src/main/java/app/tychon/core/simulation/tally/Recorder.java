package app.tychon.core.simulation.tally;

import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.PathTrace;
import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.draws.Draws;
import app.tychon.core.simulation.engine.BatchWorker;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Witness;
import app.tychon.core.simulation.settings.RunSettings;
import java.util.Arrays;

/** What one thread simulates a run with, and what it counts. */
public final class Recorder {
    public final Tallies tallies;
    private final CompiledPlan plan;
    private final Network network;
    private final BatchWorker worker;
    private final PathTrace pathTrace;
    private final double[] deviations;
    private final double planDuration;
    /** Money of every owner in the lanes of a batch. */
    private final double[][] owners;
    /** How often each risk has struck in a batch. */
    private final double[] struck;

    /** @param like tallies of the run */
    public Recorder(CompiledPlan plan, RunSettings settings, Tallies like) {
        this.plan = plan;
        network = plan.network();
        tallies = like.sibling();
        worker = new BatchWorker(plan, new Draws(settings.seed(), settings.sampling()));
        int width = worker.lanes.width;
        pathTrace = new PathTrace(network.size(), width, worker.trace);
        deviations = new double[width];
        planDuration = planDuration(plan);
        owners = new double[plan.costs().owners().size()][Batch.WIDTH];
        struck = new double[plan.risks().events().size()];
    }

    /** Working minutes of the plan without uncertainty. */
    public static double planDuration(CompiledPlan plan) {
        return plan.network().frame().work(plan.schedule().finish());
    }

    /** Length of {@link #batch}'s sums: those of activities, what stands on each owner of money, how often each risk struck. */
    public static int sumsSize(CompiledPlan plan) {
        return ActivityTallies.sumsSize(plan.network().size())
                + plan.costs().owners().size()
                + plan.risks().events().size();
    }

    /**
     * Works off a batch.
     *
     * @param values where the values of its iterations go
     * @return its sums
     */
    public double[] batch(int first, int count, Values values) {
        double[] sums = new double[sumsSize(plan)];
        Arrays.fill(struck, 0);
        worker.strips(first, count, (from, some) -> strip(first, from, some, values, sums));
        int at = ActivityTallies.sumsSize(network.size());
        for (double[] own : owners) {
            sums[at++] = Arrays.stream(own, 0, count).sum();
        }
        System.arraycopy(struck, 0, sums, at, struck.length);
        return sums;
    }

    private void strip(int batch, int first, int count, Values values, double[] sums) {
        ActivityTallies part = tallies.activities;
        worker.iterate(worker.batch(first, count), new Witness() {
            @Override
            public void placed(int position) {
                part.addDates(position, worker.lanes, count, sums);
            }
        });
        worker.trace.run(worker.lanes, count);
        for (int k = 0; k < count; k++) {
            deviations[k] = worker.duration(k) - planDuration;
        }
        part.addCritical(worker.lanes, count, deviations, sums);
        tallies.branches.add(worker.lanes, worker.spans, count, part::wasCritical);
        pathTrace.run(worker.lanes, count);
        values.add(worker, pathTrace, first, count);
        for (int owner = 0; owner < owners.length; owner++) {
            System.arraycopy(worker.money.owners[owner], 0, owners[owner], first - batch, count);
        }
        for (int risk = 0; risk < struck.length; risk++) {
            struck[risk] += Arrays.stream(worker.strikes.count[risk], 0, count)
                    .filter(times -> times > 0)
                    .count();
        }
    }
}
