package app.tychon.server.scenarios;

import app.tychon.core.model.Plan;
import app.tychon.core.model.Scenario;
import app.tychon.server.edits.Edit;
import jakarta.validation.constraints.Size;
import java.util.List;

/** Scenarios taken off a plan. */
record ScenarioRemoval(@Size(min = 1, max = 1_000) List<String> scenarios) implements Edit {
    @Override
    public Outcome apply(Plan plan) {
        List<Scenario> left = plan.scenarios().stream()
                .filter(one -> !scenarios.contains(one.id()))
                .toList();
        String what = plan.scenarios().stream()
                .filter(one -> scenarios.contains(one.id()))
                .map(one -> "“" + one.name() + "”")
                .reduce((one, other) -> one + ", " + other)
                .orElse("none");
        return new Outcome(plan.withScenarios(left), "Scenario " + what + " removed");
    }
}
