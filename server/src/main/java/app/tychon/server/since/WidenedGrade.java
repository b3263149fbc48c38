package app.tychon.server.since;

import app.tychon.core.model.Grade;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Scenario;
import app.tychon.core.model.Shape;
import app.tychon.core.scenario.Switches;
import app.tychon.exchange.changes.ScenarioPlan;
import app.tychon.server.edits.Edit;
import jakarta.validation.constraints.NotBlank;
import java.util.ArrayList;
import java.util.List;

/**
 * A grade made as wide as the work done so far asks for, as a scenario: what that does is looked at there, and taken over or not.
 *
 * @param grade    id of the grade
 * @param scenario id for the scenario
 * @param name     what it is called
 */
record WidenedGrade(@NotBlank String grade, @NotBlank String scenario, @NotBlank String name) {
    Edit by(Records records) {
        return plan -> apply(plan, records);
    }

    private Edit.Outcome apply(Plan plan, Records records) {
        Grade narrow = plan.grades().stream()
                .filter(one -> one.id().equals(grade))
                .findFirst()
                .orElseThrow(() -> refused("there is no grade \"" + grade + "\""));
        Shape wide = records.wider(narrow)
                .orElseThrow(() -> refused("the work done so far does not ask for a wider grade \"" + grade + "\""));
        Scenario blank = Scenario.of(scenario, name);
        Plan base = Switches.on(plan, blank);
        Plan widened = base.withGrades(base.grades().stream()
                .map(one ->
                        one.id().equals(grade) ? new Grade(one.id(), one.name(), wide, one.mark(), one.note()) : one)
                .toList());
        List<Scenario> scenarios = new ArrayList<>(plan.scenarios());
        scenarios.add(blank.withEdits(ScenarioPlan.edits(base, widened, List.of(), List.of())));
        return new Edit.Outcome(plan.withScenarios(scenarios), "New scenario “" + name + "”");
    }

    private static InvalidPlanException refused(String why) {
        return new InvalidPlanException(List.of(new Problem("/grade", why)));
    }
}
