package app.tychon.core.simulation.money;

import app.tychon.core.model.CostTiming;
import app.tychon.core.schedule.BranchSpans;
import app.tychon.core.schedule.ForwardPass;
import app.tychon.core.schedule.Lanes;
import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.risk.Hit;
import app.tychon.core.simulation.risk.Strikes;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/**
 * The money of an iteration, apart by cause. A line of planned amount a, sampled amount A, variable share v and duration
 * ratios r (sampled by planned) and q (expected by progress, by planned) costs A(1 − v) + A v r = a g + (A − a) g +
 * A v (r − q) with g = 1 + v (q − 1): planned, estimate spread at the durations to be expected, time-driven. Without
 * progress q is 1. Where nothing is planned to take time, so is r. A resource paid by time is a line without spread
 * and fixed part. Risks multiply a line's cost or add to it; actions are certain.
 */
public final class CostModel {
    /** Is told of money item by item: what it stands on, when it falls due, and how much it is in each lane. */
    @FunctionalInterface
    public interface Spending {
        Spending UNSEEN = (on, timing, total) -> {};

        void spent(String on, CostTiming timing, double[] total);
    }

    private final ForwardPass pass;
    private final List<CostItem> items;
    private final List<AddedCost> added;
    private final Map<String, Integer> owners;
    private final double planned;
    private final double actions;

    /** @param actions what responses cost in every iteration */
    CostModel(
            ForwardPass pass,
            List<CostItem> items,
            List<AddedCost> added,
            Map<String, Integer> owners,
            double actions) {
        this.pass = pass;
        this.items = items;
        this.added = added;
        this.owners = owners;
        this.actions = actions;
        double sum = 0;
        for (CostItem item : items) {
            sum += item.amount() * item.growth();
        }
        planned = sum;
    }

    public double planned() {
        return planned;
    }

    /** What response actions cost in every iteration. */
    public double actions() {
        return actions;
    }

    /** What money stands on, activities and branches, each with its row in {@link CostLanes#owners}. */
    public Map<String, Integer> owners() {
        return owners;
    }

    public CostLanes space() {
        return new CostLanes(owners.size());
    }

    List<CostItem> items() {
        return items;
    }

    /** Fills the money of every lane of a batch. */
    public void run(Batch batch, Lanes lanes, BranchSpans spans, Strikes strikes, CostLanes out, Spending spending) {
        int count = batch.count();
        out.begin(count);
        for (CostItem item : items) {
            price(item, batch, lanes, spans, strikes, out);
            out.addItem(item.owner(), count);
            spending.spent(item.on(), item.timing(), out.total);
        }
        for (AddedCost one : added) {
            if (price(one, batch, strikes, out)) {
                out.addRisk(one.owner(), count);
                spending.spent(one.on(), CostTiming.EVEN, out.total);
            }
        }
    }

    /** Fills what is kept of one item at a time. */
    private void price(CostItem item, Batch batch, Lanes lanes, BranchSpans spans, Strikes strikes, CostLanes out) {
        int count = batch.count();
        item.sampled().sample(batch, out.amount);
        duration(item, lanes, spans, count, out.duration);
        double growth = item.growth();
        boolean scaled = factors(item, batch, strikes, out);
        for (int k = 0; k < count; k++) {
            double ratio = item.plannedDuration() > 0 ? out.duration[k] / item.plannedDuration() : 1;
            double driven = out.amount[k] * item.variableShare() * (ratio - item.progressRatio());
            double before = out.amount[k] * growth + driven;
            double more = scaled ? before * (out.factor[k] - 1) : 0;
            out.itemSpread[k] = (out.amount[k] - item.amount()) * growth;
            out.itemDriven[k] = driven;
            out.itemRisk[k] = more;
            out.total[k] = before + more;
        }
    }

    private static boolean factors(CostItem item, Batch batch, Strikes strikes, CostLanes out) {
        boolean any = false;
        for (Hit hit : item.scaled()) {
            int event = hit.impact().event();
            if (!strikes.any(event)) {
                continue;
            }
            if (!any) {
                Arrays.fill(out.factor, 0, batch.count(), 1);
                any = true;
            }
            double[] sizes = hit.sizes(batch, strikes);
            for (int k = 0; k < batch.count(); k++) {
                out.factor[k] *= strikes.count[event][k] > 0 ? sizes[k] : 1;
            }
        }
        return any;
    }

    /** Fills the total of what a risk adds; false where it did not strike. */
    private static boolean price(AddedCost one, Batch batch, Strikes strikes, CostLanes out) {
        int event = one.hit().impact().event();
        if (!strikes.any(event)) {
            return false;
        }
        double[] sizes = one.hit().sizes(batch, strikes);
        for (int k = 0; k < batch.count(); k++) {
            out.total[k] = strikes.count[event][k] > 0 ? sizes[k] : 0;
        }
        return true;
    }

    /** Working minutes of an activity, or of the project calendar from first start to last finish of a branch. */
    private void duration(CostItem item, Lanes lanes, BranchSpans spans, int count, double[] out) {
        if (!item.followsTime()) {
            return;
        }
        if (item.position() >= 0) {
            System.arraycopy(lanes.duration[item.position()], 0, out, 0, count);
            return;
        }
        int row = spans.row(item.on());
        for (int k = 0; k < count; k++) {
            out[k] = pass.projectWork(spans.finish[row][k]) - pass.projectWork(spans.start[row][k]);
        }
    }
}
