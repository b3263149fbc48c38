package app.tychon.server.drivers;

import app.tychon.core.analysis.RollUp;
import app.tychon.core.analysis.RollUp.By;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Resource;
import app.tychon.core.model.WbsNode;
import app.tychon.core.simulation.settings.Input;
import app.tychon.server.drivers.DriversView.GroupRow;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/**
 * By what inputs are gathered: a level of the work breakdown or of risk categories, owner, resource or kind.
 *
 * @param by    empty for one by one
 * @param depth of branches and categories, from 1
 */
record Gathering(Optional<By> by, int depth) {
    private static final Map<String, String> KINDS = Map.of(
            "ESTIMATE", "Estimates of duration",
            "COST", "Estimates of money",
            "GROUP", "Estimates that move together",
            "THREAT", "Threats",
            "OPPORTUNITY", "Opportunities");

    /** @throws IllegalArgumentException for what nothing can be gathered by */
    static Gathering of(String by, int depth) {
        if (by.isEmpty()) {
            return new Gathering(Optional.empty(), depth);
        }
        try {
            return new Gathering(Optional.of(By.valueOf(by.toUpperCase(Locale.ROOT))), Math.max(1, depth));
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException(
                    "by: inputs are gathered by branch, category, owner, resource or kind, not by \"" + by + "\"", e);
        }
    }

    <T> List<GroupRow> groups(Plan plan, List<T> rows, Function<T, Input> input, ToDoubleFunction<T> measure) {
        if (by.isEmpty()) {
            return List.of();
        }
        return RollUp.of(plan).sums(rows, input, measure, by.get(), depth).stream()
                .map(sum -> new GroupRow(
                        sum.group(),
                        name(plan, sum.group()),
                        sum.value(),
                        sum.rows().stream()
                                .map(row -> InputView.text(input.apply(row).key()))
                                .toList()))
                .toList();
    }

    private String name(Plan plan, String group) {
        return switch (by.orElseThrow()) {
            case BRANCH ->
                plan.wbs().stream()
                        .filter(branch -> branch.id().equals(group))
                        .map(WbsNode::name)
                        .findFirst()
                        .orElse("The project as a whole");
            case RESOURCE ->
                plan.resources().stream()
                        .filter(resource -> resource.id().equals(group))
                        .map(Resource::name)
                        .findFirst()
                        .orElse("Without a resource");
            case CATEGORY -> group.isEmpty() ? "Not of the register" : group.replace("/", " / ");
            case OWNER -> group.isEmpty() ? "Without an owner" : group;
            case KIND -> KINDS.get(group);
        };
    }
}
