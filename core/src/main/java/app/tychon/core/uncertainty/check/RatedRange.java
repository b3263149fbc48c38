package app.tychon.core.uncertainty.check;

import app.tychon.core.model.Activity;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Shape;
import app.tychon.core.uncertainty.Distribution;
import app.tychon.core.uncertainty.EstimateSpread;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * An uncertain quantity of the plan as multiples of what is planned, so that large and small can be compared.
 *
 * @param own whether the range is its own rather than that of a grade
 * @param low its lower end; where none bounds it, the value with a chance of one in a hundred
 * @param high likewise
 */
record RatedRange(String id, String branch, boolean own, Shape shape, double low, OptionalDouble likely, double high) {
    private static final double RARE = 0.01;
    private static final double SAME = 1e-6;
    private static final double TENTH = 0.1;

    static RatedRange of(Activity activity, Estimate estimate, CalendarDefinition calendar) {
        return of(
                activity.id(),
                activity.wbs(),
                activity.estimate().isPresent(),
                estimate,
                EstimateSpread.of(activity, Optional.of(estimate), calendar));
    }

    static RatedRange of(CostLine line, Estimate estimate) {
        return of(
                line.id(),
                line.on(),
                line.estimate().isPresent(),
                estimate,
                EstimateSpread.of(line, Optional.of(estimate)));
    }

    private static RatedRange of(String id, String branch, boolean own, Estimate estimate, EstimateSpread spread) {
        Distribution distribution = spread.distribution();
        double unit = spread.planned();
        double low = Double.isFinite(distribution.low()) && distribution.low() > 0
                ? distribution.low()
                : distribution.inverse(RARE);
        double high = Double.isFinite(distribution.high()) ? distribution.high() : distribution.inverse(1 - RARE);
        OptionalDouble likely = spread.likely().isPresent()
                ? OptionalDouble.of(spread.likely().getAsDouble() / unit)
                : OptionalDouble.empty();
        return new RatedRange(id, branch, own, estimate.shape(), low / unit, likely, high / unit);
    }

    boolean isCertain() {
        return high - low < SAME;
    }

    boolean isAnchored() {
        return likely.isPresent() && Math.abs(likely.getAsDouble() - 1) < SAME;
    }

    boolean isSymmetric() {
        return likely.isPresent() && Math.abs(high + low - 2 * likely.getAsDouble()) < 0.01 * (high - low);
    }

    boolean isTenPercent() {
        return Math.abs(low - (1 - TENTH)) < 0.005 && Math.abs(high - (1 + TENTH)) < 0.005;
    }

    boolean excludesPlanned() {
        return !isCertain() && (high < 1 - SAME || low > 1 + SAME);
    }

    /** The likely value lies beyond where the shape was cut. */
    boolean isLikelyCutOff() {
        return likely.isPresent() && (likely.getAsDouble() < low - SAME || likely.getAsDouble() > high + SAME);
    }

    /** Two ranges of the same key look the same. */
    String key() {
        return shape.getClass().getSimpleName() + " " + Math.round(1000 * low) + " "
                + Math.round(1000 * likely.orElse(0)) + " " + Math.round(1000 * high);
    }

    String inPercent() {
        return Math.round(100 * low) + " % to " + Math.round(100 * high) + " % of planned";
    }
}
