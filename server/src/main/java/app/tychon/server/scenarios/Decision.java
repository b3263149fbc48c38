package app.tychon.server.scenarios;

import app.tychon.core.model.Plan;
import app.tychon.core.model.RiskSwitch;
import app.tychon.core.model.Scenario;
import app.tychon.exchange.changes.ScenarioPlan;
import app.tychon.server.edits.Edit;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Responses and scenarios that are decided on together, in one edit of the plan.
 *
 * @param risks     codes of those whose responses are decided on
 * @param scenarios ids of those that are taken over
 */
record Decision(@NotNull @Size(max = 10_000) List<String> risks, @NotNull @Size(max = 1_000) List<String> scenarios)
        implements Edit {
    @Override
    public Outcome apply(Plan plan) {
        Map<String, RiskSwitch> answered =
                risks.stream().collect(Collectors.toMap(id -> id, id -> RiskSwitch.RESPONSE, (one, other) -> one));
        Scenario all = Scenario.of("decided", "Decided");
        for (String id : scenarios) {
            all = all.with(Workplaces.scenario(plan, id));
        }
        Scenario decided = all.with(Scenario.of("risks", "Risks").withRisks(answered))
                .withEstimates(true)
                .withCorrelation(true);
        Plan after = ScenarioPlan.of(plan, decided)
                .plan()
                .withScenarios(plan.scenarios())
                .withBriefs(plan.briefs());
        return new Outcome(
                after,
                "Decided: "
                        + Stream.concat(
                                        risks.stream(),
                                        scenarios.stream()
                                                .map(id -> "“"
                                                        + Workplaces.scenario(plan, id)
                                                                .name() + "”"))
                                .collect(Collectors.joining(", ")));
    }
}
