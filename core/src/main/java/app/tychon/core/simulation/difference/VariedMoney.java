package app.tychon.core.simulation.difference;

import app.tychon.core.schedule.Lanes;
import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.money.AddedCost;
import app.tychon.core.simulation.money.CostItem;
import app.tychon.core.simulation.money.CostLanes;
import app.tychon.core.simulation.money.CostModel;
import app.tychon.core.simulation.risk.Strikes;
import java.util.Arrays;
import java.util.List;

/**
 * The money of a variation in a few futures of a batch: items that it changes are priced again, others taken over, and all
 * added up in the order in which the variation itself would be.
 */
final class VariedMoney {
    final double[] spread = new double[Ripple.WIDTH];
    final double[] timeDriven = new double[Ripple.WIDTH];
    final double[] risk = new double[Ripple.WIDTH];

    private final Varied varied;
    private final KeptBatch kept;
    private final Strikes strikes;
    private final CostModel costs;
    private final CostLanes item;
    /** By item: amounts drawn otherwise, factors that scale otherwise. */
    private final double[][] amount;

    private final double[][] factor;
    /** By how much prices rise in every lane of the batch. */
    private final double[][] rate;
    /** By money that risks add, before prices. */
    private final double[][] added;

    /** @param item working space of the thread */
    VariedMoney(Varied varied, KeptBatch kept, Strikes strikes, CostLanes item) {
        this.varied = varied;
        this.kept = kept;
        this.strikes = strikes;
        this.item = item;
        costs = varied.plan.costs();
        Batch batch = kept.batch;
        List<CostItem> items = costs.items();
        amount = new double[items.size()][];
        factor = new double[items.size()][];
        for (int i = 0; i < items.size(); i++) {
            if (varied.repriced.get(i)) {
                amount[i] = new double[Batch.WIDTH];
                items.get(i).sampled().sample(batch, amount[i]);
            }
        }
        rate = new double[costs.rates().size()][Batch.WIDTH];
        for (int row = 0; row < rate.length; row++) {
            costs.rates().get(row).sample(batch, rate[row]);
        }
        added = new double[costs.added().size()][];
        for (int i = 0; i < added.length; i++) {
            added[i] = varied.added[i] >= 0
                    ? kept.added[varied.added[i]]
                    : added(costs.added().get(i));
        }
    }

    private double[] added(AddedCost one) {
        double[] row = new double[Batch.WIDTH];
        CostModel.fill(one, kept.batch, strikes, row);
        return row;
    }

    /** Adds up the lanes that a ripple has looked at. */
    void add(int[] at, int count, Ripple ripple) {
        Arrays.fill(spread, 0, count, 0);
        Arrays.fill(timeDriven, 0, count, 0);
        Arrays.fill(risk, 0, count, 0);
        List<CostItem> items = costs.items();
        for (int i = 0; i < items.size(); i++) {
            add(i, items.get(i), at, count, ripple);
        }
        for (int i = 0; i < added.length; i++) {
            addRisk(costs.added().get(i), added[i], at, count, ripple);
        }
    }

    private void addRisk(AddedCost one, double[] row, int[] at, int count, Ripple ripple) {
        if (one.followsDates()) {
            CostModel.levels(one.line().get(), ripple, rates(at, count), count, item);
            for (int k = 0; k < count; k++) {
                risk[k] += row[at[k]] * item.level[k];
            }
            return;
        }
        for (int k = 0; k < count; k++) {
            risk[k] += row[at[k]];
        }
    }

    private void add(int index, CostItem one, int[] at, int count, Ripple ripple) {
        boolean moved = hasMoved(one, ripple);
        boolean priced = moved || varied.repriced.get(index) || varied.rescaled.get(index);
        boolean scaled = !one.scaled().isEmpty();
        amounts(index, one, at, count);
        if (priced) {
            if (one.followsTime()) {
                ripple.durations(one.place(), item.duration);
            }
            if (scaled) {
                Lanes.gather(factors(index, one), at, count, item.factor);
            }
            if (one.followsDates()) {
                CostModel.levels(one, ripple, rates(at, count), count, item);
            }
            CostModel.price(one, scaled, count, item);
        } else {
            take(kept.driven[index], at, count, item.itemDriven);
            take(kept.scaled[index], at, count, item.itemRisk);
            takeSpread(index, one, at, count);
        }
        for (int k = 0; k < count; k++) {
            spread[k] += item.itemSpread[k];
            timeDriven[k] += item.itemDriven[k];
            risk[k] += item.itemRisk[k];
        }
    }

    private void takeSpread(int index, CostItem one, int[] at, int count) {
        if (one.followsDates()) {
            Lanes.gather(kept.spread[index], at, count, item.itemSpread);
            return;
        }
        double growth = one.growth();
        for (int k = 0; k < count; k++) {
            item.itemSpread[k] = (item.amount[k] - one.amount()) * growth;
        }
    }

    private static boolean hasMoved(CostItem one, Ripple ripple) {
        boolean dated = one.followsDates() && one.parts().stream().anyMatch(part -> ripple.hasMoved(part.place()));
        return dated || one.followsTime() && ripple.hasMoved(one.place());
    }

    /** By how much prices rise in the lanes looked at. */
    private double[][] rates(int[] at, int count) {
        for (int row = 0; row < rate.length; row++) {
            Lanes.gather(rate[row], at, count, item.rates[row]);
        }
        return item.rates;
    }

    private void amounts(int index, CostItem one, int[] at, int count) {
        double[] row = amount[index] == null ? kept.amount[index] : amount[index];
        if (one.sampled().isCertain()) {
            Arrays.fill(item.amount, 0, count, one.sampled().value());
        } else {
            Lanes.gather(row, at, count, item.amount);
        }
    }

    /** By what risks multiply an item in every lane of the batch. */
    private double[] factors(int index, CostItem one) {
        if (factor[index] == null) {
            factor[index] = new double[Batch.WIDTH];
            if (!CostModel.factors(one, kept.batch, strikes, factor[index])) {
                Arrays.fill(factor[index], 1);
            }
        }
        return factor[index];
    }

    private static void take(double[] row, int[] at, int count, double[] out) {
        if (row == null) {
            Arrays.fill(out, 0, count, 0);
        } else {
            Lanes.gather(row, at, count, out);
        }
    }
}
