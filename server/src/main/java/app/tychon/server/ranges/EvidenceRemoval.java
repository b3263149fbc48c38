package app.tychon.server.ranges;

import app.tychon.core.model.Plan;
import app.tychon.server.edits.Edit;

/** Evidence taken out; the ranges that were fitted to it stay. */
record EvidenceRemoval(String id) implements Edit {
    @Override
    public Outcome apply(Plan plan) {
        return new Outcome(
                plan.edit()
                        .evidence(plan.evidence().stream()
                                .filter(e -> !e.id().equals(id))
                                .toList())
                        .done(),
                "Evidence " + id + " removed");
    }
}
