package app.tychon.core.simulation.money;

import app.tychon.core.schedule.BranchSpans;
import app.tychon.core.schedule.Frame;
import app.tychon.core.schedule.Lanes;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.draws.UncertainInput;
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
 *
 * <p>Where prices change, with p their level at the planned dates as planned, p' there with the yearly rates of the future, and P
 * at the dates of the future, the parts are planned a g p; spread A g p' − a g p; time-driven (A g + A v (r − q)) P − A g p'; and
 * risk times P, what it adds to the line included. What is spent of a line is certain, and a, A, r and q are of what is still to be paid and worked.
 */
public final class CostModel {
    /** Is told of money item by item; how much it is in each lane stands in {@link CostLanes}. */
    public interface Spending {
        /** What an item costs; items count from 0, in an order of their own. */
        void spent(int index, CostItem item);

        /** What a risk that struck adds to something, likewise. */
        void added(int index, AddedCost one);
    }

    private final Network network;
    private final List<CostItem> items;
    private final List<AddedCost> added;
    private final List<UncertainInput> rates;
    private final Map<String, Integer> owners;
    private final double planned;
    private final double actions;

    /**
     * @param rates   by how much prices rise a year, by row of {@link Prices#rate}
     * @param decided what responses cost that are decided on: a part of the plan
     * @param actions what others cost in every iteration
     */
    CostModel(
            Network network,
            List<CostItem> items,
            List<AddedCost> added,
            List<UncertainInput> rates,
            Map<String, Integer> owners,
            double decided,
            double actions) {
        this.network = network;
        this.items = items;
        this.added = added;
        this.rates = rates;
        this.owners = owners;
        this.actions = actions;
        double sum = decided;
        for (CostItem item : items) {
            sum += item.plannedCost();
        }
        planned = sum;
    }

    public double planned() {
        return planned;
    }

    /** What response actions that are not decided on cost in every iteration. */
    public double actions() {
        return actions;
    }

    /** What money stands on, activities and branches, each with its row in {@link CostLanes#owners}. */
    public Map<String, Integer> owners() {
        return owners;
    }

    public CostLanes space() {
        int parts = items.stream().mapToInt(item -> item.parts().size()).max().orElse(1);
        return new CostLanes(owners.size(), rates.size(), parts);
    }

    /** By how much prices rise a year, by row of {@link Prices#rate}. */
    public List<UncertainInput> rates() {
        return rates;
    }

    public List<CostItem> items() {
        return items;
    }

    /** What risks add, in the order in which it is added up. */
    public List<AddedCost> added() {
        return added;
    }

    /** Fills the money of every lane of a batch. */
    public void run(Batch batch, Lanes lanes, BranchSpans spans, Strikes strikes, CostLanes out, Spending spending) {
        int count = batch.count();
        out.begin(count);
        for (int row = 0; row < rates.size(); row++) {
            rates.get(row).sample(batch, out.rates[row]);
        }
        Dates dates = new LaneDates(lanes, spans, count);
        for (int i = 0; i < items.size(); i++) {
            CostItem item = items.get(i);
            item.sampled().sample(batch, out.amount);
            duration(item, lanes, spans, count, out.duration);
            if (item.followsDates()) {
                levels(item, dates, out.rates, count, out);
            }
            price(item, factors(item, batch, strikes, out.factor), count, out);
            out.addItem(item.owner(), count);
            spending.spent(i, item);
        }
        for (int i = 0; i < added.size(); i++) {
            AddedCost one = added.get(i);
            if (fill(one, batch, strikes, out.added)) {
                priceAdded(one, dates, count, out);
                out.addRisk(one.owner(), count);
                spending.added(i, one);
            }
        }
    }

    /** What the levels of prices make of what a risk adds. */
    private static void priceAdded(AddedCost one, Dates dates, int count, CostLanes out) {
        System.arraycopy(out.added, 0, out.total, 0, count);
        if (one.followsDates()) {
            levels(one.line().get(), dates, out.rates, count, out);
            for (int k = 0; k < count; k++) {
                out.total[k] *= out.level[k];
            }
        }
    }

    /** Fills the levels of prices of an item that follows dates. @param rates by how much prices rise in each lane */
    public static void levels(CostItem item, Dates dates, double[][] rates, int count, CostLanes out) {
        Prices prices = item.prices();
        DueLanes due = out.due;
        due.fill(item, dates, count);
        for (int k = 0; k < count; k++) {
            double yearly = prices.rate() < 0 ? 0 : rates[prices.rate()][k];
            double level = 0;
            for (int p = 0; p < item.parts().size(); p++) {
                level += due.share[p][k] * prices.level(due.from[p][k], due.to[p][k], yearly);
            }
            out.level[k] = level;
            out.levelAtPlan[k] = yearly == item.planned().yearly()
                    ? item.planned().level()
                    : item.planned().at(prices, yearly);
        }
    }

    /**
     * From the amount, duration and, where risks scale it, the factor of an item in each lane, and where it follows dates the
     * levels of its prices: what it costs by cause.
     */
    public static void price(CostItem item, boolean scaled, int count, CostLanes out) {
        double growth = item.growth();
        for (int k = 0; k < count; k++) {
            double ratio = item.plannedDuration() > 0 ? (out.duration[k] - item.done()) / item.plannedDuration() : 1;
            double driven = out.amount[k] * item.variableShare() * (ratio - item.progressRatio());
            double before = out.amount[k] * growth + driven;
            double more = scaled ? before * (out.factor[k] - 1) : 0;
            out.itemSpread[k] = (out.amount[k] - item.amount()) * growth;
            out.itemDriven[k] = driven;
            out.itemRisk[k] = more;
            out.total[k] = item.spent() + before + more;
        }
        if (item.followsDates()) {
            reprice(item, count, out);
        }
    }

    /** What the levels of prices make of it. */
    private static void reprice(CostItem item, int count, CostLanes out) {
        double asPlanned = item.amount() * item.growth();
        for (int k = 0; k < count; k++) {
            double atPlan = (asPlanned + out.itemSpread[k]) * out.levelAtPlan[k];
            double work = (asPlanned + out.itemSpread[k] + out.itemDriven[k]) * out.level[k];
            out.itemSpread[k] = atPlan - asPlanned * item.planned().level();
            out.itemDriven[k] = work - atPlan;
            out.itemRisk[k] *= out.level[k];
            out.total[k] = item.spent() + work + out.itemRisk[k];
        }
    }

    /** Fills by what risks multiply an item; false where none strikes it. */
    public static boolean factors(CostItem item, Batch batch, Strikes strikes, double[] out) {
        boolean any = false;
        for (Hit hit : item.scaled()) {
            int event = hit.impact().event();
            if (!strikes.any(event)) {
                continue;
            }
            if (!any) {
                Arrays.fill(out, 0, batch.count(), 1);
                any = true;
            }
            double[] sizes = hit.sizes(batch, strikes);
            for (int k = 0; k < batch.count(); k++) {
                out[k] *= strikes.count[event][k] > 0 ? sizes[k] : 1;
            }
        }
        return any;
    }

    /** Fills what a risk adds, before prices; false where it did not strike. */
    public static boolean fill(AddedCost one, Batch batch, Strikes strikes, double[] out) {
        int event = one.hit().impact().event();
        if (!strikes.any(event)) {
            return false;
        }
        double[] sizes = one.hit().sizes(batch, strikes);
        for (int k = 0; k < batch.count(); k++) {
            out[k] = strikes.count[event][k] > 0 ? sizes[k] : 0;
        }
        return true;
    }

    /** Working minutes of an activity, or of the project calendar from first start to last finish of a branch. */
    private void duration(CostItem item, Lanes lanes, BranchSpans spans, int count, double[] out) {
        if (!item.followsTime()) {
            return;
        }
        if (!item.place().isBranch()) {
            System.arraycopy(lanes.duration[item.place().position()], 0, out, 0, count);
            return;
        }
        int row = spans.row(item.place().on());
        Frame frame = network.frame(item.place().on());
        for (int k = 0; k < count; k++) {
            out[k] = frame.work(spans.finish[row][k]) - frame.work(spans.start[row][k]);
        }
    }
}
