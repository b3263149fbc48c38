package app.tychon.server.rows;

import app.tychon.core.model.Plan;
import java.util.Set;

/** Evidence as the reason of ranges: a range that is typed anew has it no more. */
public final class Reasons {
    private Reasons() {}

    /** @param ids activities, cost lines or grades whose range no longer comes from evidence */
    public static Plan without(Plan plan, Set<String> ids) {
        if (plan.evidence().stream().noneMatch(e -> e.on().stream().anyMatch(ids::contains))) {
            return plan;
        }
        return plan.edit()
                .evidence(plan.evidence().stream()
                        .map(e -> e.withOn(
                                e.on().stream().filter(id -> !ids.contains(id)).toList()))
                        .toList())
                .done();
    }
}
