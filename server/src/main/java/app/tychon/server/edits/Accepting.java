package app.tychon.server.edits;

import app.tychon.core.model.Acceptance;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import jakarta.annotation.Nullable;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Findings of a check said to be no fault, or said to be one again.
 *
 * @param check its word
 * @param on the rows, or project
 * @param reason why it is no fault; absent to take that back
 */
record Accepting(String check, @Size(min = 1, max = 20_000) List<String> on, @Nullable String reason) implements Edit {
    @Override
    public Outcome apply(Plan plan) {
        if (reason != null && reason.isBlank()) {
            throw new InvalidPlanException(List.of(new Problem("/reason", "say why it is no fault")));
        }
        Set<String> about = new HashSet<>(on);
        List<Acceptance> all = new ArrayList<>(plan.accepted());
        all.removeIf(a -> a.check().equals(check) && about.contains(a.on()));
        if (reason != null) {
            on.forEach(id -> all.add(new Acceptance(check, id, reason.strip())));
        }
        String count = on.size() == 1 ? "a finding" : on.size() + " findings";
        return new Outcome(
                plan.edit().accepted(all).done(),
                reason == null ? "Acceptance of " + count + " withdrawn" : count + " of the plan check accepted");
    }
}
