package app.tychon.server.ranges;

import app.tychon.core.model.Plan;
import app.tychon.server.edits.Edit;

/** A correlation taken out. */
record CorrelationRemoval(String id) implements Edit {
    @Override
    public Outcome apply(Plan plan) {
        return new Outcome(
                plan.edit()
                        .correlations(plan.correlations().stream()
                                .filter(c -> !c.id().equals(id))
                                .toList())
                        .done(),
                "Correlation " + id + " removed");
    }
}
