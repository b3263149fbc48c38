package app.tychon.core.scenario;

import app.tychon.core.model.Shape;
import app.tychon.core.uncertainty.Distribution;
import app.tychon.core.uncertainty.Distributions;
import java.util.Arrays;
import java.util.Optional;

/**
 * A grade made as wide as the work done so far asks for: its ends are moved away from its likely value, each by as little as
 * leaves no more than a tenth of what really happened beyond P90, and no more than a tenth below P10. It is never made narrower.
 */
public final class Widening {
    private static final double STEP = 0.05;
    private static final double MOST = 12;
    private static final double TENTH = 0.1;

    private Widening() {}

    /**
     * @param shape  of factors of the planned value
     * @param ratios of actual to planned
     * @return nothing for a shape without three points, or one that is wide enough
     */
    public static Optional<Shape> of(Shape shape, double[] ratios) {
        if (ratios.length == 0 || !(shape instanceof Shape.Triangular || shape instanceof Shape.Pert)) {
            return Optional.empty();
        }
        Shape wide = shape;
        for (double by = 1; by < MOST && beyond(wide, ratios) > TENTH; by += STEP) {
            wide = stretched(shape, 1, by);
        }
        Shape high = wide;
        for (double by = 1; by < MOST && below(wide, ratios) > TENTH; by += STEP) {
            wide = stretched(high, by, 1);
        }
        return wide.equals(shape) ? Optional.empty() : Optional.of(wide);
    }

    private static double beyond(Shape shape, double[] ratios) {
        double p90 = range(shape).inverse(0.9);
        return share(Arrays.stream(ratios).filter(ratio -> ratio > p90).count(), ratios);
    }

    private static double below(Shape shape, double[] ratios) {
        double p10 = range(shape).inverse(TENTH);
        return share(Arrays.stream(ratios).filter(ratio -> ratio < p10).count(), ratios);
    }

    private static double share(long some, double[] all) {
        return some / (double) all.length;
    }

    private static Distribution range(Shape shape) {
        return Distributions.ofDuration(shape, 1);
    }

    private static Shape stretched(Shape shape, double down, double up) {
        if (shape instanceof Shape.Triangular s) {
            return new Shape.Triangular(
                    low(s.low(), s.likely(), down), s.likely(), high(s.high(), s.likely(), up), s.ends());
        }
        Shape.Pert s = (Shape.Pert) shape;
        return new Shape.Pert(
                low(s.low(), s.likely(), down), s.likely(), high(s.high(), s.likely(), up), s.weight(), s.ends());
    }

    private static double low(double low, double likely, double by) {
        return Math.max(0, rounded(likely - (likely - low) * by));
    }

    private static double high(double high, double likely, double by) {
        return rounded(likely + (high - likely) * by);
    }

    private static double rounded(double factor) {
        return Math.round(factor * 100) / 100.0;
    }
}
