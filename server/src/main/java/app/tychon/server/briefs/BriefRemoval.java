package app.tychon.server.briefs;

import app.tychon.core.model.Plan;
import app.tychon.server.edits.Edit;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.stream.Collectors;

/** Briefs taken off a plan; what was issued of them stays. */
record BriefRemoval(@Size(min = 1, max = 1_000) List<String> briefs) implements Edit {
    @Override
    public Outcome apply(Plan plan) {
        String names = plan.briefs().stream()
                .filter(one -> briefs.contains(one.id()))
                .map(one -> "“" + one.name() + "”")
                .collect(Collectors.joining(", "));
        return new Outcome(
                plan.withBriefs(plan.briefs().stream()
                        .filter(one -> !briefs.contains(one.id()))
                        .toList()),
                "Brief " + names + " removed");
    }
}
