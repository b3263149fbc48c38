package app.tychon.core.analysis;

import app.tychon.core.simulation.engine.BatchWorker;
import app.tychon.core.simulation.engine.Batches;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Witness;
import app.tychon.core.simulation.money.AddedCost;
import app.tychon.core.simulation.money.CostItem;
import app.tychon.core.simulation.result.RunResult.CostSamples;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** The money of a run apart by cause, for groups of it: branches, categories. Each group's parts add up to it exactly. */
public final class CostCauses {
    private final Map<String, CostSamples> groups = new LinkedHashMap<>();
    private final String[] ofItem;
    private final String[] ofAdded;

    private CostCauses(
            CompiledPlan plan,
            int iterations,
            Function<CostItem, String> groupOfItem,
            Function<AddedCost, String> groupOfAdded) {
        List<CostItem> items = plan.costs().items();
        ofItem = items.stream().map(groupOfItem).toArray(String[]::new);
        ofAdded = plan.costs().added().stream().map(groupOfAdded).toArray(String[]::new);
        Map<String, Double> planned = new LinkedHashMap<>();
        for (int i = 0; i < ofItem.length; i++) {
            planned.merge(ofItem[i], items.get(i).plannedCost(), Double::sum);
        }
        for (String group : ofAdded) {
            planned.merge(group, 0.0, Double::sum);
        }
        planned.forEach((group, money) -> groups.put(
                group,
                new CostSamples(money, new double[iterations], new double[iterations], new double[iterations], 0)));
    }

    /**
     * Simulates for it.
     *
     * @param ofItem  the group of a cost line or a resource at work
     * @param ofAdded that of what a risk adds
     * @return by group; what responses cost is in none
     * @throws java.util.concurrent.CancellationException when it is stopped before anything was done, or interrupted
     */
    public static Map<String, CostSamples> of(
            CompiledPlan plan,
            RunSettings settings,
            Function<CostItem, String> ofItem,
            Function<AddedCost, String> ofAdded,
            RunMonitor monitor) {
        CostCauses causes = new CostCauses(plan, settings.iterations(), ofItem, ofAdded);
        Batches.watched(
                plan,
                settings,
                monitor,
                worker -> (first, count) -> causes.new Adding(worker, first, count),
                (worker, first, count) -> {});
        return causes.groups;
    }

    private final class Adding implements Witness {
        private final BatchWorker worker;
        private final int first;
        private final int count;

        Adding(BatchWorker worker, int first, int count) {
            this.worker = worker;
            this.first = first;
            this.count = count;
        }

        @Override
        public void spent(int index, CostItem item) {
            CostSamples sums = groups.get(ofItem[index]);
            add(sums.spread(), worker.money.itemSpread);
            add(sums.timeDriven(), worker.money.itemDriven);
            add(sums.risk(), worker.money.itemRisk);
        }

        @Override
        public void added(int index, AddedCost one) {
            add(groups.get(ofAdded[index]).risk(), worker.money.total);
        }

        private void add(double[] sum, double[] lanes) {
            for (int k = 0; k < count; k++) {
                sum[first + k] += lanes[k];
            }
        }
    }
}
