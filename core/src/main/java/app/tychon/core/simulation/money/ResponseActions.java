package app.tychon.core.simulation.money;

import app.tychon.core.model.Action;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import java.util.Comparator;
import java.util.List;

/** Which response actions cost money in a variation of a plan: those of live risks after response, unless dropped. */
public final class ResponseActions {
    private ResponseActions() {}

    /** By code of their risk, so that sums do not depend on the order of rows. */
    public static List<Action> of(Plan plan, Variation variation) {
        return plan.risks().stream()
                .filter(Risk::isLive)
                .filter(risk -> variation.of(risk.id()) == RiskSetting.AFTER_RESPONSE)
                .sorted(Comparator.comparing(Risk::id))
                .flatMap(risk -> risk.response().map(Response::keptActions).orElse(List.of()).stream())
                .toList();
    }
}
