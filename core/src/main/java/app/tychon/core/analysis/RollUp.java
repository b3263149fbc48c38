package app.tychon.core.analysis;

import app.tychon.core.model.CostLine;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.core.model.WbsNode;
import app.tychon.core.simulation.settings.Input;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/** Adds a measure of single inputs up over the branches of the work breakdown, or over categories of risk. */
public final class RollUp {
    private final Map<String, WbsNode> branches = new HashMap<>();
    private final Map<String, String> branchOf = new HashMap<>();
    private final Map<String, String> categoryOf = new HashMap<>();

    private RollUp(Plan plan) {
        plan.wbs().forEach(b -> branches.put(b.id(), b));
        plan.activities().forEach(a -> branchOf.put(a.id(), a.wbs()));
        Map<String, String> activities = new HashMap<>(branchOf);
        for (CostLine line : plan.costs()) {
            branchOf.put(line.id(), activities.getOrDefault(line.on(), line.on()));
        }
        for (Risk risk : plan.risks()) {
            categoryOf.put(risk.id(), risk.category());
        }
    }

    public static RollUp of(Plan plan) {
        return new RollUp(plan);
    }

    /** A sum of a measure, under the id of a branch, the name of a category, or {@link Plan#PROJECT}. */
    public record Sum(String group, double value) {}

    /**
     * Sums over the branches of a level, the largest first; estimates of activities and cost lines alone.
     *
     * @param level 1 for the branches at the top; what stands higher up counts by itself
     */
    public <T> List<Sum> byBranch(List<T> rows, Function<T, Input> input, ToDoubleFunction<T> measure, int level) {
        return sums(rows, row -> branch(input.apply(row), level), measure);
    }

    /**
     * Sums over categories of risk, the largest first; occurrences and impacts of risks alone.
     *
     * @param level how many parts of a category count: 1 for the first of Authorities/Permits
     */
    public <T> List<Sum> byCategory(List<T> rows, Function<T, Input> input, ToDoubleFunction<T> measure, int level) {
        return sums(rows, row -> category(input.apply(row), level), measure);
    }

    private static <T> List<Sum> sums(List<T> rows, Function<T, Optional<String>> group, ToDoubleFunction<T> measure) {
        Map<String, Double> sums = new TreeMap<>();
        for (T row : rows) {
            group.apply(row).ifPresent(g -> sums.merge(g, measure.applyAsDouble(row), Double::sum));
        }
        return sums.entrySet().stream()
                .map(e -> new Sum(e.getKey(), e.getValue()))
                .sorted(Comparator.comparingDouble((Sum s) -> -Math.abs(s.value())))
                .toList();
    }

    private Optional<String> branch(Input input, int level) {
        if (input.kind() != Input.Kind.ESTIMATE && input.kind() != Input.Kind.COST) {
            return Optional.empty();
        }
        List<String> chain = new ArrayList<>();
        WbsNode at = branches.get(branchOf.get(input.id()));
        while (at != null) {
            chain.add(0, at.id());
            at = at.parent().map(branches::get).orElse(null);
        }
        return Optional.of(chain.isEmpty() ? Plan.PROJECT : chain.get(Math.min(level, chain.size()) - 1));
    }

    private Optional<String> category(Input input, int level) {
        if (!categoryOf.containsKey(input.id())
                || input.kind() == Input.Kind.ESTIMATE
                || input.kind() == Input.Kind.COST) {
            return Optional.empty();
        }
        String[] parts = categoryOf.get(input.id()).split("/");
        return Optional.of(String.join("/", List.of(parts).subList(0, Math.min(level, parts.length))));
    }
}
