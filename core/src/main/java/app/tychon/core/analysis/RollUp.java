package app.tychon.core.analysis;

import app.tychon.core.model.Assignment;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Impact;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.core.model.WbsNode;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.Input.Kind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Gathers single inputs by what they belong to, so that a measure of them can be added up. */
public final class RollUp {
    /** Belongs to nothing that is gathered by. */
    public static final String NONE = "";

    /** By what inputs are gathered. */
    public enum By {
        /** Branches of the work breakdown; a risk belongs where all lies that it strikes. */
        BRANCH,
        /** Categories of the risk register. */
        CATEGORY,
        /** Who owns a risk. */
        OWNER,
        /** The resource that works most on an activity. */
        RESOURCE,
        KIND
    }

    private final Map<String, WbsNode> branches = new HashMap<>();
    private final Map<String, String> branchOf = new HashMap<>();
    private final Map<String, Risk> risks = new HashMap<>();
    private final Map<String, Assignment> most = new HashMap<>();

    private RollUp(Plan plan) {
        plan.wbs().forEach(branch -> branches.put(branch.id(), branch));
        plan.wbs().forEach(branch -> branchOf.put(branch.id(), branch.id()));
        plan.activities().forEach(activity -> branchOf.put(activity.id(), activity.wbs()));
        for (CostLine line : plan.costs()) {
            branchOf.putIfAbsent(line.id(), branchOf.getOrDefault(line.on(), Plan.PROJECT));
        }
        plan.risks().forEach(risk -> risks.put(risk.id(), risk));
        for (Assignment assignment : plan.assignments()) {
            most.merge(assignment.activity(), assignment, (one, other) -> other.units() > one.units() ? other : one);
        }
    }

    public static RollUp of(Plan plan) {
        return new RollUp(plan);
    }

    /** A sum of a measure over what belongs together, with what was added up, the largest first. */
    public record Sum<T>(String group, double value, List<T> rows) {}

    /**
     * Sums of a measure, the largest first.
     *
     * @param level of branches, 1 for those at the top, and of categories, 1 for the first part of Authorities/Permits;
     *     what stands higher up counts by itself
     */
    public <T> List<Sum<T>> sums(
            List<T> rows, Function<T, Input> input, ToDoubleFunction<T> measure, By by, int level) {
        Map<String, List<T>> groups = rows.stream()
                .collect(Collectors.groupingBy(
                        row -> groupOf(input.apply(row), by, level), LinkedHashMap::new, Collectors.toList()));
        return groups.entrySet().stream()
                .map(group -> new Sum<>(
                        group.getKey(),
                        group.getValue().stream().mapToDouble(measure).sum(),
                        group.getValue().stream()
                                .sorted(Comparator.comparingDouble(row -> -Math.abs(measure.applyAsDouble(row))))
                                .toList()))
                .sorted(Comparator.comparingDouble((Sum<T> sum) -> -Math.abs(sum.value()))
                        .thenComparing(Sum::group))
                .toList();
    }

    /** The id of a branch or {@link Plan#PROJECT}, a category, a name, the id of a resource, a kind; or {@link #NONE}. */
    public String groupOf(Input input, By by, int level) {
        return switch (by) {
            case BRANCH -> branch(input, level);
            case CATEGORY -> cut(risk(input, Risk::category), level);
            case OWNER -> risk(input, Risk::owner);
            case RESOURCE ->
                input.kind() == Kind.ESTIMATE && most.containsKey(input.id())
                        ? most.get(input.id()).resource()
                        : NONE;
            case KIND -> kind(input);
        };
    }

    private static boolean isRisk(Input input) {
        return switch (input.kind()) {
            case OCCURRENCE, IMPACT, RISK -> true;
            case ESTIMATE, COST, PRICE, GROUP -> false;
        };
    }

    private String risk(Input input, Function<Risk, String> read) {
        return isRisk(input) ? read.apply(risks.get(input.id())) : NONE;
    }

    private String kind(Input input) {
        if (isRisk(input)) {
            return risks.get(input.id()).kind().name();
        }
        return input.kind().name();
    }

    private static String cut(String category, int level) {
        return Stream.of(category.split("/")).limit(level).collect(Collectors.joining("/"));
    }

    private String branch(Input input, int level) {
        if (input.kind() == Kind.GROUP || input.kind() == Kind.PRICE) {
            return Plan.PROJECT;
        }
        List<String> chain;
        if (isRisk(input)) {
            chain = risks.get(input.id()).presentImpacts().stream()
                    .map(Impact::on)
                    .flatMap(List::stream)
                    .map(on -> chain(branchOf.getOrDefault(on, Plan.PROJECT)))
                    .reduce(RollUp::common)
                    .orElse(List.of());
        } else {
            chain = chain(branchOf.getOrDefault(input.id(), Plan.PROJECT));
        }
        return chain.isEmpty() ? Plan.PROJECT : chain.get(Math.min(level, chain.size()) - 1);
    }

    /** Branches from the top down to one. */
    private List<String> chain(String branch) {
        List<String> chain = new ArrayList<>();
        WbsNode at = branches.get(branch);
        while (at != null) {
            chain.add(0, at.id());
            at = at.parent().map(branches::get).orElse(null);
        }
        return chain;
    }

    private static List<String> common(List<String> one, List<String> other) {
        int length = 0;
        while (length < Math.min(one.size(), other.size()) && one.get(length).equals(other.get(length))) {
            length++;
        }
        return one.subList(0, length);
    }
}
