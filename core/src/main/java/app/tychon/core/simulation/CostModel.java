package app.tychon.core.simulation;

import app.tychon.core.model.Action;
import app.tychon.core.model.Assignment;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.CostTiming;
import app.tychon.core.model.Estimates;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Resource;
import app.tychon.core.schedule.ForwardPass;
import app.tychon.core.schedule.Lanes;
import app.tychon.core.schedule.Network;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;

/**
 * The money of an iteration, apart by cause. A line of planned amount a, sampled amount A, variable share v and duration
 * ratios r (sampled by planned) and q (expected by progress, by planned) costs A(1 − v) + A v r = a g + (A − a) g +
 * A v (r − q) with g = 1 + v (q − 1): planned, estimate spread at the durations to be expected, time-driven. Without
 * progress q is 1. Where nothing is planned to take time, so is r. A resource paid by time is a line without spread
 * and fixed part. Risks multiply a line's cost or add to it; actions are certain.
 */
final class CostModel {
    /** Something that costs, standing on an activity (a position), or on a branch (-1). */
    private record Item(
            String on,
            int position,
            double amount,
            double variableShare,
            UncertainInput sampled,
            double plannedDuration,
            double progressRatio,
            CostTiming timing,
            int owner,
            List<Hit> scaled) {
        double growth() {
            return PlannedCost.growth(variableShare, progressRatio);
        }
    }

    /** Money a risk adds to something. */
    private record Added(String on, int owner, Hit hit) {}

    /** Is told of money item by item: what it stands on, when it falls due, and how much it is in each lane. */
    @FunctionalInterface
    interface Spending {
        Spending UNSEEN = (on, timing, total) -> {};

        void spent(String on, CostTiming timing, double[] total);
    }

    private final ForwardPass pass;
    private final Network network;
    private final List<Item> items = new ArrayList<>();
    private final List<Added> added = new ArrayList<>();
    private final Map<String, Integer> owners = new TreeMap<>();
    private final double planned;
    private final double actions;

    private CostModel(CompiledPlan.Parts parts, Map<String, UncertainInput> amounts, RiskModel.MoneyHits hits) {
        pass = parts.pass();
        network = parts.network();
        Plan plan = network.plan();
        // Sorted, so that sums do not depend on the order of rows.
        for (CostLine line : sorted(plan.costs(), CostLine::id)) {
            List<Hit> scaled = hits.scaled().getOrDefault(line.id(), List.of());
            double variable = 1 - line.fixedShare();
            add(parts, line.on(), line.timing(), line.amount(), variable, amounts.get(line.id()), scaled);
        }
        Map<String, Resource> resources = new HashMap<>();
        plan.resources().forEach(r -> resources.put(r.id(), r));
        for (Assignment one : sorted(plan.assignments(), a -> a.activity() + "\n" + a.resource())) {
            List<Hit> scaled = hits.scaled().getOrDefault(RiskTargets.id(one), List.of());
            assign(parts, one, resources.get(one.resource()), scaled);
        }
        Map<String, String> lines = new HashMap<>();
        plan.costs().forEach(line -> lines.put(line.id(), line.on()));
        new TreeMap<>(hits.added()).forEach((target, all) -> {
            String on = lines.getOrDefault(target, target);
            all.forEach(hit -> added.add(new Added(on, owner(on), hit)));
        });
        double sum = 0;
        for (Item item : items) {
            sum += item.amount() * item.growth();
        }
        planned = sum;
        actions = ResponseActions.of(plan, parts.variation()).stream()
                .mapToDouble(Action::cost)
                .sum();
    }

    static CostModel of(CompiledPlan.Parts parts, Map<String, UncertainInput> amounts, RiskModel.MoneyHits hits) {
        return new CostModel(parts, amounts, hits);
    }

    /** How uncertain the amount of each line is, by id. What is finished is certain. */
    static Map<String, UncertainInput> amounts(Network network, ShapeTables tables) {
        Estimates estimates = Estimates.of(network.plan());
        Map<String, UncertainInput> amounts = new HashMap<>();
        for (CostLine line : network.plan().costs()) {
            boolean finished = network.isHistory(line.on());
            amounts.put(
                    line.id(),
                    estimates
                            .of(line)
                            .filter(e -> !finished)
                            .map(e -> new UncertainInput(
                                    Stream.of(Stream.Role.COST, line.id()),
                                    tables.of(e.shape()),
                                    e.basis() == Basis.FACTOR ? line.amount() : 1))
                            .orElseGet(() -> UncertainInput.certain(line.amount())));
        }
        return amounts;
    }

    private static <T> List<T> sorted(List<T> all, Function<T, String> by) {
        return all.stream().sorted(Comparator.comparing(by)).toList();
    }

    private void add(
            CompiledPlan.Parts parts,
            String on,
            CostTiming timing,
            double amount,
            double variableShare,
            UncertainInput sampled,
            List<Hit> scaled) {
        int position = network.branches().isBranch(on) ? -1 : network.position(on);
        items.add(new Item(
                on,
                position,
                amount,
                variableShare,
                sampled,
                parts.planned().duration(on),
                parts.planned().progressRatio(on),
                timing,
                owner(on),
                scaled));
    }

    private void assign(CompiledPlan.Parts parts, Assignment one, Resource resource, List<Hit> scaled) {
        double amount = PlannedCost.of(network, parts.planned(), one, resource);
        UncertainInput certain = UncertainInput.certain(amount);
        double variable = PlannedCost.variableShare(resource);
        add(parts, one.activity(), CostTiming.EVEN, amount, variable, certain, scaled);
    }

    private int owner(String on) {
        return owners.computeIfAbsent(on, o -> owners.size());
    }

    double planned() {
        return planned;
    }

    /** What response actions cost in every iteration. */
    double actions() {
        return actions;
    }

    /** What money stands on, activities and branches, each with its row in {@link CostLanes#owners}. */
    Map<String, Integer> owners() {
        return owners;
    }

    CostLanes space() {
        return new CostLanes(owners.size());
    }

    /** Fills the money of the first {@code count} lanes, iterations from {@code first}. */
    void run(
            Draws draws,
            int first,
            int count,
            Lanes lanes,
            BranchSpans spans,
            Strikes strikes,
            CostLanes out,
            Spending spending) {
        out.begin(count);
        for (Item item : items) {
            item.sampled().sample(draws, first, count, out.amount, out.scratch);
            duration(item, lanes, spans, count, out.duration);
            double growth = item.growth();
            boolean scaled = factors(item, draws, first, count, strikes, out);
            for (int k = 0; k < count; k++) {
                double ratio = item.plannedDuration() > 0 ? out.duration[k] / item.plannedDuration() : 1;
                double driven = out.amount[k] * item.variableShare() * (ratio - item.progressRatio());
                double before = out.amount[k] * growth + driven;
                double more = scaled ? before * (out.factor[k] - 1) : 0;
                out.spread[k] += (out.amount[k] - item.amount()) * growth;
                out.timeDriven[k] += driven;
                out.risk[k] += more;
                out.total[k] = before + more;
            }
            out.addTotal(item.owner(), count);
            spending.spent(item.on(), item.timing(), out.total);
        }
        for (Added one : added) {
            if (addRisk(one, draws, first, count, strikes, out)) {
                out.addTotal(one.owner(), count);
                spending.spent(one.on(), CostTiming.EVEN, out.total);
            }
        }
    }

    private boolean factors(Item item, Draws draws, int first, int count, Strikes strikes, CostLanes out) {
        boolean any = false;
        for (Hit hit : item.scaled()) {
            int event = hit.impact().event();
            if (!strikes.any(event)) {
                continue;
            }
            if (!any) {
                Arrays.fill(out.factor, 0, count, 1);
                any = true;
            }
            double[] sizes = hit.sizes(draws, first, count, strikes, out.scratch);
            for (int k = 0; k < count; k++) {
                out.factor[k] *= strikes.count[event][k] > 0 ? sizes[k] : 1;
            }
        }
        return any;
    }

    private static boolean addRisk(Added one, Draws draws, int first, int count, Strikes strikes, CostLanes out) {
        int event = one.hit().impact().event();
        if (!strikes.any(event)) {
            return false;
        }
        double[] sizes = one.hit().sizes(draws, first, count, strikes, out.scratch);
        for (int k = 0; k < count; k++) {
            out.total[k] = strikes.count[event][k] > 0 ? sizes[k] : 0;
            out.risk[k] += out.total[k];
        }
        return true;
    }

    /** Working minutes of an activity, or of the project calendar from first start to last finish of a branch. */
    private void duration(Item item, Lanes lanes, BranchSpans spans, int count, double[] out) {
        if (item.variableShare() == 0 || item.plannedDuration() == 0) {
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
