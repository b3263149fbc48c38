package app.tychon.core.simulation.money;

import app.tychon.core.model.Action;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;

/** Which response actions cost money, unless they are dropped; by code of their risk, so that sums do not depend on rows. */
public final class ResponseActions {
    private ResponseActions() {}

    /** What a variation of a plan does beyond what is decided: actions of live risks after response. */
    public static List<Action> tried(Plan plan, Variation variation) {
        return of(plan, risk -> isTried(risk, variation));
    }

    /** What is decided on, and so a part of the plan, whatever has become of the risks. */
    public static List<Action> decided(Plan plan) {
        return of(plan, Risk::isAnswered);
    }

    /** The same, less that of risks which a variation leaves without response. */
    static List<Action> decided(Plan plan, Variation variation) {
        return of(plan, risk -> isDecided(risk, variation));
    }

    /** All of them that cost money in a variation. */
    public static List<Action> of(Plan plan, Variation variation) {
        return of(plan, risk -> isTried(risk, variation) || isDecided(risk, variation));
    }

    private static boolean isTried(Risk risk, Variation variation) {
        return risk.isLive() && !risk.isAnswered() && variation.of(risk.id()) == RiskSetting.AFTER_RESPONSE;
    }

    private static boolean isDecided(Risk risk, Variation variation) {
        return risk.isAnswered() && variation.of(risk.id()) != RiskSetting.UNANSWERED;
    }

    private static List<Action> of(Plan plan, Predicate<Risk> which) {
        return plan.risks().stream()
                .filter(which)
                .sorted(Comparator.comparing(Risk::id))
                .flatMap(risk -> risk.response().map(Response::keptActions).orElse(List.of()).stream())
                .toList();
    }
}
