package app.tychon.core.simulation.difference;

import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.engine.BatchWorker;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Witness;
import app.tychon.core.simulation.money.AddedCost;
import app.tychon.core.simulation.money.CostItem;
import app.tychon.core.simulation.money.CostModel;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.IntStream;

/** A batch of a plan's own futures with all that variations of it are compared by; one thread's own. */
final class KeptBatch implements Witness {
    final CompiledPlan plan;
    final BatchWorker worker;
    /** Durations as drawn, of positions that risks strike. */
    final double[][] drawn;
    /**
     * By cost item: amounts where they are uncertain, what ranges add where prices follow dates, what time adds where it does,
     * what risks make of it where they may.
     */
    final double[][] amount;

    final double[][] spread;

    final double[][] driven;
    final double[][] scaled;
    /** By money that risks add, before prices. */
    final double[][] added;

    Batch batch;
    /** Positions but hammocks by their latest finish in any lane, the latest first, and that finish. */
    int[] latestFirst;

    double[] latest;

    KeptBatch(CompiledPlan plan, BatchWorker worker) {
        this.plan = plan;
        this.worker = worker;
        Network network = plan.network();
        CostModel costs = plan.costs();
        drawn = new double[network.size()][];
        for (int i = 0; i < drawn.length; i++) {
            drawn[i] = plan.risks().strikes(i) ? row() : null;
        }
        List<CostItem> items = costs.items();
        amount = rows(items, item -> !item.sampled().isCertain());
        driven = rows(items, item -> item.followsTime() || item.followsDates());
        spread = rows(items, CostItem::followsDates);
        scaled = rows(items, item -> !item.scaled().isEmpty());
        added = new double[costs.added().size()][Batch.WIDTH];
    }

    private static double[] row() {
        return new double[Batch.WIDTH];
    }

    private static double[][] rows(List<CostItem> items, Predicate<CostItem> kept) {
        return items.stream().map(item -> kept.test(item) ? row() : null).toArray(double[][]::new);
    }

    /** Simulates the plan's own futures. */
    void simulate(Batch next) {
        batch = next;
        for (double[] row : added) {
            Arrays.fill(row, 0, next.count(), 0);
        }
        worker.iterate(next, this);
        Network network = plan.network();
        latest = new double[network.size()];
        for (int i = 0; i < latest.length; i++) {
            double last = Double.NEGATIVE_INFINITY;
            double[] row = worker.lanes.finish[i];
            for (int k = 0; k < next.count(); k++) {
                last = Math.max(last, row[k]);
            }
            latest[i] = last;
        }
        latestFirst = IntStream.range(0, latest.length)
                .filter(i -> !network.isHammock(i))
                .boxed()
                .sorted(Comparator.comparingDouble(i -> -latest[i]))
                .mapToInt(Integer::intValue)
                .toArray();
    }

    @Override
    public void drawn(int position) {
        keep(worker.lanes.duration[position], drawn[position]);
    }

    @Override
    public void spent(int index, CostItem item) {
        keep(worker.money.amount, amount[index]);
        keep(worker.money.itemSpread, spread[index]);
        keep(worker.money.itemDriven, driven[index]);
        keep(worker.money.itemRisk, scaled[index]);
    }

    @Override
    public void added(int index, AddedCost one) {
        keep(worker.money.added, added[index]);
    }

    private void keep(double[] row, double[] to) {
        if (to != null) {
            System.arraycopy(row, 0, to, 0, batch.count());
        }
    }
}
