package app.tychon.core.model;

import java.util.Optional;

/** A plan as it was before any of it was done or paid. */
public final class Outset {
    private Outset() {}

    public static Plan of(Plan plan) {
        return plan.edit()
                .project(plan.project().withDataDate(Optional.empty()))
                .activities(plan.activities().stream()
                        .map(activity -> activity.withProgress(Progress.NONE))
                        .toList())
                .costs(plan.costs().stream()
                        .map(line -> line.withSpent(Optional.empty()).withToGo(Optional.empty()))
                        .toList())
                .done();
    }
}
