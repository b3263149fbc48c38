package app.tychon.server.risks;

import app.tychon.core.model.Acceptance;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Codes of risks wherever they are named. */
final class RiskCodes {
    private RiskCodes() {}

    /** @param names the new code of each risk that gets one */
    static Plan renamed(Plan plan, Map<String, String> names) {
        if (names.isEmpty()) {
            return plan;
        }
        return plan.edit()
                .risks(plan.risks().stream()
                        .map(risk -> risk.withId(names.getOrDefault(risk.id(), risk.id()))
                                .withOnlyIf(risk.onlyIf()
                                        .map(c -> new Risk.Condition(
                                                names.getOrDefault(c.risk(), c.risk()), c.occurs()))))
                        .toList())
                .accepted(plan.accepted().stream()
                        .map(a ->
                                new Acceptance(a.check(), names.getOrDefault(a.on(), a.on()), a.finding(), a.reason()))
                        .toList())
                .done();
    }

    /**
     * A register without some of its risks. Others no longer depend on them.
     *
     * @param gone is told what goes with them
     */
    static Plan without(Plan plan, Set<String> ids, List<String> gone) {
        List<Risk> left = new ArrayList<>();
        for (Risk risk : plan.risks()) {
            if (ids.contains(risk.id())) {
                continue;
            }
            boolean depends = risk.onlyIf().filter(c -> ids.contains(c.risk())).isPresent();
            if (depends) {
                gone.add("the condition of risk " + risk.id());
            }
            left.add(depends ? risk.withOnlyIf(Optional.empty()) : risk);
        }
        return plan.edit()
                .risks(left)
                .accepted(plan.accepted().stream()
                        .filter(a -> !ids.contains(a.on()))
                        .toList())
                .done();
    }
}
