package app.tychon.server.scenarios;

import app.tychon.core.model.Plan;
import app.tychon.core.model.RiskSwitch;
import app.tychon.core.model.Scenario;
import app.tychon.exchange.changes.Laid;
import app.tychon.exchange.changes.ScenarioPlan;
import app.tychon.server.edits.Edit;
import app.tychon.server.edits.InputChange;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A scenario becomes the plan: responses it has are decided on, risks it has off are closed, its edits are edits of the plan.
 * That estimates do not vary or do not move together is a question and no plan, so that stays with the scenario.
 */
final class TakeOver implements Edit {
    private final String id;

    TakeOver(String id) {
        this.id = id;
    }

    private static Laid laid(Plan plan, Scenario scenario) {
        return ScenarioPlan.of(plan, scenario.withEstimates(true).withCorrelation(true));
    }

    @Override
    public Outcome apply(Plan plan) {
        Scenario scenario = Workplaces.scenario(plan, id);
        Laid laid = laid(plan, scenario);
        Scenario left = scenario.withRisks(Map.of())
                .withCategories(Map.of())
                .withOthers(RiskSwitch.NOW)
                .withFinish(Optional.empty())
                .withCost(Optional.empty())
                .withEdits(laid.idle());
        Plan taken = laid.plan()
                .withScenarios(plan.scenarios().stream()
                        .map(one -> one.id().equals(id) ? left : one)
                        .toList())
                .withBriefs(plan.briefs());
        return new Outcome(taken, "Taken over: scenario “" + scenario.name() + "”");
    }

    static TakeOverView look(Plan plan, String id) {
        Scenario scenario = Workplaces.scenario(plan, id);
        Laid laid = laid(plan, scenario);
        List<String> left = new ArrayList<>();
        if (!scenario.estimates()) {
            left.add("that estimates do not vary");
        }
        if (!scenario.correlation()) {
            left.add("that estimates do not move together");
        }
        return new TakeOverView(
                InputChange.between(plan, laid.plan()),
                left,
                laid.misfits().stream().map(ScenariosView::misfit).toList());
    }
}
