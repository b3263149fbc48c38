package app.tychon.core.model;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * The plan as it would be otherwise: with switches, and with edits of its own. It follows the plan: what it says nothing of is
 * as the plan has it now.
 *
 * @param note        what is to be said of it; empty for nothing
 * @param putAway     whether it is out of sight, and not calculated
 * @param risks       switches of single risks, by id
 * @param categories  switches of all risks of a category and beneath it; the nearest counts, and a risk's own before it
 * @param others      what holds for risks of which nothing else is said
 * @param estimates   whether estimates vary, or stand at their planned values
 * @param correlation whether estimates move together
 * @param finish      another target for the finish
 * @param cost        another budget
 */
@RecordBuilder
public record Scenario(
        String id,
        String name,
        String note,
        boolean putAway,
        Map<String, RiskSwitch> risks,
        Map<String, RiskSwitch> categories,
        RiskSwitch others,
        boolean estimates,
        boolean correlation,
        Optional<LocalDateTime> finish,
        Optional<Double> cost,
        List<ScenarioEdit> edits)
        implements ScenarioBuilder.With {

    public Scenario {
        // In a fixed order, so that equal ones are written alike.
        risks = Collections.unmodifiableMap(new TreeMap<>(risks));
        categories = Collections.unmodifiableMap(new TreeMap<>(categories));
        edits = List.copyOf(edits);
    }

    /** A scenario that differs in nothing yet. */
    public static Scenario of(String id, String name) {
        return new Scenario(
                id,
                name,
                "",
                false,
                Map.of(),
                Map.of(),
                RiskSwitch.NOW,
                true,
                true,
                Optional.empty(),
                Optional.empty(),
                List.of());
    }

    /** How it has a risk. */
    public RiskSwitch of(Risk risk) {
        RiskSwitch own = risks.get(risk.id());
        if (own != null) {
            return own;
        }
        for (String category = risk.category(); !category.isEmpty(); category = above(category)) {
            RiskSwitch all = categories.get(category);
            if (all != null) {
                return all;
            }
        }
        return others;
    }

    private static String above(String category) {
        int slash = category.lastIndexOf('/');
        return slash < 0 ? "" : category.substring(0, slash);
    }

    /** With the switches and edits of another laid over its own; where both edit the same object, the other's edit counts. */
    public Scenario with(Scenario other) {
        Map<String, RiskSwitch> allRisks = new TreeMap<>(risks);
        allRisks.putAll(other.risks);
        Map<String, RiskSwitch> allCategories = new TreeMap<>(categories);
        allCategories.putAll(other.categories);
        List<ScenarioEdit> all = new ArrayList<>(edits);
        all.removeIf(edit -> other.edits.stream().anyMatch(edit::isOfSame));
        all.addAll(other.edits);
        return withRisks(allRisks)
                .withCategories(allCategories)
                .withOthers(other.others == RiskSwitch.NOW ? others : other.others)
                .withEstimates(estimates && other.estimates)
                .withCorrelation(correlation && other.correlation)
                .withFinish(other.finish.or(() -> finish))
                .withCost(other.cost.or(() -> cost))
                .withEdits(all);
    }
}
