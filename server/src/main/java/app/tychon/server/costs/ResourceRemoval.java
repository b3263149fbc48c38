package app.tychon.server.costs;

import app.tychon.core.model.Impact;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Risk;
import app.tychon.server.edits.Edit;
import jakarta.validation.constraints.Size;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** Resources taken out, with their work. */
record ResourceRemoval(@Size(min = 1, max = 10_000) List<String> resources) implements Edit {
    @Override
    public Outcome apply(Plan plan) {
        Set<String> gone = new HashSet<>(resources);
        plan.risks().stream().filter(risk -> strikes(risk, gone)).findFirst().ifPresent(risk -> {
            throw new InvalidPlanException(List.of(
                    new Problem("", "risk " + risk.id() + ", " + risk.title() + ", strikes it; change that first")));
        });
        List<String> told = plan.assignments().stream()
                .filter(one -> gone.contains(one.resource()))
                .map(one -> "work of resource " + one.resource() + " on activity " + one.activity())
                .toList();
        Plan left = plan.edit()
                .resources(plan.resources().stream()
                        .filter(one -> !gone.contains(one.id()))
                        .toList())
                .assignments(plan.assignments().stream()
                        .filter(one -> !gone.contains(one.resource()))
                        .toList())
                .done();
        String what = resources.size() == 1 ? "Resource " + resources.get(0) : resources.size() + " resources";
        return new Outcome(left, what + " removed", told);
    }

    private static boolean strikes(Risk risk, Set<String> gone) {
        Stream<Impact> impacts = Stream.concat(
                risk.impacts().stream(), risk.response().stream().flatMap(response -> response.impacts().stream()));
        return impacts.flatMap(impact -> impact.on().stream()).anyMatch(gone::contains);
    }
}
