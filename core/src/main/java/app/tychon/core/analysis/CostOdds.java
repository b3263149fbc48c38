package app.tychon.core.analysis;

import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.Slice;
import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.engine.BatchWorker;
import app.tychon.core.simulation.engine.Batches;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Witness;
import app.tychon.core.simulation.money.AddedCost;
import app.tychon.core.simulation.money.CostItem;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What every cost line and every resource at work costs in the futures of a run, and sums of them. What a risk adds to a cost
 * line is in the line. Sums add lines up iteration by iteration, so that their means add up to the cent.
 */
public final class CostOdds {
    /** Values that are kept at most: of many lines fewer futures are looked at. */
    private static final long MOST_VALUES = 8_000_000;

    private final CompiledPlan plan;
    private final int iterations;
    /** By item of the plan's money, then by what risks add. */
    private final double[][] values;

    private final Map<String, Integer> rows = new HashMap<>();

    private CostOdds(CompiledPlan plan, int iterations) {
        this.plan = plan;
        this.iterations = iterations;
        List<CostItem> items = plan.costs().items();
        List<AddedCost> added = plan.costs().added();
        values = new double[items.size() + added.size()][iterations];
        for (int i = 0; i < items.size(); i++) {
            rows.put(items.get(i).id(), i);
        }
    }

    /**
     * Simulates for it.
     *
     * @param most so many futures of the run at most; whole blocks of the hypercube
     * @throws java.util.concurrent.CancellationException when it is stopped before anything was done, or interrupted
     */
    public static CostOdds of(CompiledPlan plan, RunSettings settings, int most, RunMonitor monitor) {
        int rows =
                Math.max(1, plan.costs().items().size() + plan.costs().added().size());
        int room = (int) Math.max(Batch.WIDTH, MOST_VALUES / rows / Batch.WIDTH * Batch.WIDTH);
        CostOdds odds = new CostOdds(plan, Math.min(most, room));
        RunSettings enough = new RunSettings(odds.iterations, settings.seed(), settings.sampling(), settings.threads());
        Batches.watched(
                plan,
                enough,
                monitor,
                worker -> (first, count) -> odds.new Keeping(worker, first, count),
                (worker, first, count) -> {});
        return odds;
    }

    /** Bytes that it takes for a plan. */
    public static long bytes(CompiledPlan plan, int iterations) {
        long rows = plan.costs().items().size() + plan.costs().added().size();
        return Double.BYTES * Math.min(MOST_VALUES + Batch.WIDTH * rows, rows * iterations);
    }

    private final class Keeping implements Witness {
        private final BatchWorker worker;
        private final int first;
        private final int count;

        Keeping(BatchWorker worker, int first, int count) {
            this.worker = worker;
            this.first = first;
            this.count = count;
        }

        @Override
        public void spent(int index, CostItem item) {
            System.arraycopy(worker.money.total, 0, values[index], first, count);
        }

        @Override
        public void added(int index, AddedCost one) {
            System.arraycopy(worker.money.total, 0, values[plan.costs().items().size() + index], first, count);
        }
    }

    /** How many futures were looked at. */
    public int iterations() {
        return iterations;
    }

    /** What a cost line, or an assignment, costs in each future, with what risks add to it. @throws IllegalArgumentException where there is none */
    public double[] line(String id) {
        Integer row = rows.get(id);
        if (row == null) {
            throw new IllegalArgumentException("there is no cost line or assignment \"" + id + "\"");
        }
        double[] sum = values[row].clone();
        List<AddedCost> added = plan.costs().added();
        for (int a = 0; a < added.size(); a++) {
            if (added.get(a).target().equals(id)) {
                add(sum, values[rows.size() + a]);
            }
        }
        return sum;
    }

    /** What a slice costs in each future, responses included where it is the whole. */
    public double[] sum(Slice slice) {
        double[] sum = new double[iterations];
        List<CostItem> items = plan.costs().items();
        for (int i = 0; i < items.size(); i++) {
            if (slice.holds(items.get(i))) {
                add(sum, values[i]);
            }
        }
        List<AddedCost> added = plan.costs().added();
        for (int a = 0; a < added.size(); a++) {
            if (slice.holds(added.get(a))) {
                add(sum, values[items.size() + a]);
            }
        }
        if (slice.isWhole()) {
            double certain = actions();
            Arrays.setAll(sum, i -> sum[i] + certain);
        }
        return sum;
    }

    /** What stands on each activity and branch itself, by its id; all of those that have money. */
    public Map<String, double[]> places() {
        Map<String, double[]> places = new HashMap<>();
        List<CostItem> items = plan.costs().items();
        for (int i = 0; i < items.size(); i++) {
            add(places.computeIfAbsent(items.get(i).place().on(), on -> new double[iterations]), values[i]);
        }
        List<AddedCost> added = plan.costs().added();
        for (int a = 0; a < added.size(); a++) {
            add(
                    places.computeIfAbsent(added.get(a).place().on(), on -> new double[iterations]),
                    values[items.size() + a]);
        }
        return places;
    }

    /** What each branch costs with everything beneath it, by its id; all of those that have money, and the project. */
    public Map<String, double[]> branches() {
        Network network = plan.network();
        Map<String, double[]> sums = new HashMap<>();
        places().forEach((on, own) -> {
            String branchOf = network.isActivity(on)
                    ? network.activity(network.position(on)).wbs()
                    : on;
            for (String branch : network.branches().chain(branchOf)) {
                add(sums.computeIfAbsent(branch, id -> new double[iterations]), own);
            }
        });
        return sums;
    }

    private double actions() {
        double planned =
                plan.costs().items().stream().mapToDouble(CostItem::plannedCost).sum();
        return plan.costs().planned() - planned + plan.costs().actions();
    }

    private static void add(double[] sum, double[] values) {
        for (int i = 0; i < sum.length; i++) {
            sum[i] += values[i];
        }
    }
}
