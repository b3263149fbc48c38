package app.tychon.server.risks;

import app.tychon.core.model.Impact;
import app.tychon.core.model.Recurrence;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.core.uncertainty.Distribution;
import app.tychon.core.uncertainty.Distributions;
import jakarta.annotation.Nullable;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A risk as the register tells it.
 *
 * @param kind threat or opportunity
 * @param state proposed, open, closed or occurred
 * @param category a path in the project's own tree, such as Site/Weather; empty for none
 * @param owner empty for none
 * @param chance 0 to 1, that it occurs
 * @param perYear how often a year it strikes where it does; absent where it does not recur by a rate
 * @param answered whether a response is planned
 * @param chanceAnswered the chance after it
 */
public record RiskView(
        String id,
        String title,
        String kind,
        String state,
        String category,
        String owner,
        double chance,
        @Nullable Double perYear,
        List<EffectView> effects,
        boolean answered,
        @Nullable Double chanceAnswered) {
    private static final double LOW = 0.05;
    private static final double HIGH = 0.95;

    /**
     * What it does where it strikes.
     *
     * @param effect addTime, scaleTime, addCost or scaleCost
     * @param on ids of what it strikes
     * @param low the least it does: days, hours, money or a factor; where that has no end, P5
     * @param high the most it does; where that has no end, P95
     * @param basis days, hours, money or factor
     */
    public record EffectView(String effect, List<String> on, double low, double high, String basis) {
        static EffectView of(Impact impact) {
            Distribution size = Distributions.of(impact.distribution().shape(), 1);
            return new EffectView(
                    word(impact.effect()),
                    impact.on(),
                    Double.isFinite(size.low()) ? size.low() : size.inverse(LOW),
                    Double.isFinite(size.high()) ? size.high() : size.inverse(HIGH),
                    impact.distribution().basis().name().toLowerCase(Locale.ROOT));
        }

        private static String word(Impact.Effect effect) {
            return switch (effect) {
                case ADD_TIME -> "addTime";
                case SCALE_TIME -> "scaleTime";
                case ADD_COST -> "addCost";
                case SCALE_COST -> "scaleCost";
            };
        }
    }

    static RiskView of(Risk risk) {
        Optional<Recurrence.PerYear> rate =
                risk.recurrence().filter(Recurrence.PerYear.class::isInstance).map(Recurrence.PerYear.class::cast);
        return new RiskView(
                risk.id(),
                risk.title(),
                risk.kind().name().toLowerCase(Locale.ROOT),
                risk.state().name().toLowerCase(Locale.ROOT),
                risk.category(),
                risk.owner(),
                risk.probability(),
                rate.map(Recurrence.PerYear::rate).orElse(null),
                risk.impacts().stream().map(EffectView::of).toList(),
                risk.response().isPresent(),
                risk.response().map(Response::probability).orElse(null));
    }
}
