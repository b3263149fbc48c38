package app.tychon.core.simulation.money;

import app.tychon.core.model.Action;
import app.tychon.core.model.Assignment;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.CostTiming;
import app.tychon.core.model.Estimates;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Resource;
import app.tychon.core.schedule.ForwardPass;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.PlannedSpans;
import app.tychon.core.simulation.draws.RandomStream;
import app.tychon.core.simulation.draws.ShapeTables;
import app.tychon.core.simulation.draws.UncertainInput;
import app.tychon.core.simulation.risk.Hit;
import app.tychon.core.simulation.risk.RiskModel;
import app.tychon.core.simulation.risk.RiskTargets;
import app.tychon.core.simulation.settings.Variation;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;

/** Makes the money of a plan ready for one variation of it. */
public final class CostCompiler {
    private final Network network;
    private final PlannedSpans planned;
    private final List<CostItem> items = new ArrayList<>();
    private final List<AddedCost> added = new ArrayList<>();
    private final Map<String, Integer> owners = new TreeMap<>();

    private CostCompiler(Network network, PlannedSpans planned) {
        this.network = network;
        this.planned = planned;
    }

    /**
     * @param amounts how uncertain the amount of each line is, by id
     * @param hits    what risks do to money
     */
    public static CostModel compile(
            Network network,
            ForwardPass pass,
            PlannedSpans planned,
            Variation variation,
            Map<String, UncertainInput> amounts,
            RiskModel.MoneyHits hits) {
        CostCompiler compiler = new CostCompiler(network, planned);
        compiler.addItems(amounts, hits.scaled());
        compiler.addRisks(hits.added());
        return new CostModel(
                pass,
                compiler.items,
                compiler.added,
                compiler.owners,
                sum(ResponseActions.decided(network.plan(), variation)),
                sum(ResponseActions.tried(network.plan(), variation)));
    }

    private static double sum(List<Action> actions) {
        return actions.stream().mapToDouble(Action::cost).sum();
    }

    /** How uncertain the amount of each line is, by id. What is finished is certain. */
    public static Map<String, UncertainInput> amounts(Network network, ShapeTables tables) {
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
                                    RandomStream.of(RandomStream.Role.COST, line.id()),
                                    tables.of(e.shape()),
                                    e.basis() == Basis.FACTOR ? line.amount() : 1))
                            .orElseGet(() -> UncertainInput.certain(line.amount())));
        }
        return amounts;
    }

    /** Sorted, so that sums do not depend on the order of rows. */
    private static <T> List<T> sorted(List<T> all, Function<T, String> by) {
        return all.stream().sorted(Comparator.comparing(by)).toList();
    }

    private void addItems(Map<String, UncertainInput> amounts, Map<String, List<Hit>> scaled) {
        Plan plan = network.plan();
        for (CostLine line : sorted(plan.costs(), CostLine::id)) {
            List<Hit> hits = scaled.getOrDefault(line.id(), List.of());
            double variable = 1 - line.fixedShare();
            add(line.on(), line.timing(), line.amount(), variable, amounts.get(line.id()), hits);
        }
        Map<String, Resource> resources = new HashMap<>();
        plan.resources().forEach(r -> resources.put(r.id(), r));
        for (Assignment one : sorted(plan.assignments(), RiskTargets::id)) {
            List<Hit> hits = scaled.getOrDefault(RiskTargets.id(one), List.of());
            Resource resource = resources.get(one.resource());
            double amount = PlannedCost.of(network, planned, one, resource);
            double variable = PlannedCost.variableShare(resource);
            add(one.activity(), CostTiming.EVEN, amount, variable, UncertainInput.certain(amount), hits);
        }
    }

    private void add(
            String on,
            CostTiming timing,
            double amount,
            double variableShare,
            UncertainInput sampled,
            List<Hit> scaled) {
        int position = network.branches().isBranch(on) ? -1 : network.position(on);
        items.add(new CostItem(
                on,
                position,
                amount,
                variableShare,
                sampled,
                planned.duration(on),
                planned.progressRatio(on),
                timing,
                owner(on),
                scaled));
    }

    private void addRisks(Map<String, List<Hit>> hits) {
        Map<String, String> lines = new HashMap<>();
        network.plan().costs().forEach(line -> lines.put(line.id(), line.on()));
        new TreeMap<>(hits).forEach((target, all) -> {
            String on = lines.getOrDefault(target, target);
            all.forEach(hit -> added.add(new AddedCost(target, on, owner(on), hit)));
        });
    }

    private int owner(String on) {
        return owners.computeIfAbsent(on, o -> owners.size());
    }
}
