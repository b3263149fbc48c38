package app.tychon.core.uncertainty;

import app.tychon.core.model.Shape.Ends;
import java.util.function.DoubleUnaryOperator;

/**
 * The ends of a three-point shape whose outer points are percentiles. There is no closed form; the equations F(low) =
 * lowAt and F(high) = highAt are solved by bisection to the last bits.
 */
final class PercentileEnds {
    private static final int BISECTIONS = 200;

    private PercentileEnds() {}

    /**
     * Triangle: with l and h the distances of the outer points from the likely value, and p, q the chances beyond them,
     * the distances x and y of the ends obey (x − l)² = p(x + y)x and (y − h)² = q(x + y)y; for a given range r = x + y
     * both are quadratics, and r is where they add up.
     */
    static TriangularDistribution triangular(double low, double likely, double high, Ends ends) {
        double p = ends.lowAt();
        double q = 1 - ends.highAt();
        double l = likely - low;
        double h = high - likely;
        double range = root(r -> r - beyond(l, p * r) - beyond(h, q * r), l + h);
        return TriangularDistribution.of(likely - beyond(l, p * range), likely, likely + beyond(h, q * range));
    }

    /** The larger root of (x − d)² = s x. */
    private static double beyond(double d, double s) {
        double half = d + s / 2;
        return half + Math.sqrt(half * half - d * d);
    }

    /** PERT: for each upper end the lower end that puts {@code low} right, then the upper end that puts {@code high} right. */
    static BetaDistribution pert(double low, double likely, double high, double weight, Ends ends) {
        double range = high - low;
        DoubleUnaryOperator lowerEnd = above -> ends.lowAt() == 0
                ? low
                : low
                        - root(
                                d -> PertDistribution.of(low - d, likely, above, weight)
                                                .cumulative(low)
                                        - ends.lowAt(),
                                0,
                                range);
        double above = ends.highAt() == 1
                ? high
                : high + root(d -> ends.highAt() - reached(lowerEnd, likely, high, d, weight), 0, range);
        return PertDistribution.of(lowerEnd.applyAsDouble(above), likely, above, weight);
    }

    /** The chance of {@code high} or less where the upper end lies {@code d} beyond it. */
    private static double reached(DoubleUnaryOperator lowerEnd, double likely, double high, double d, double weight) {
        double above = high + d;
        return PertDistribution.of(lowerEnd.applyAsDouble(above), likely, above, weight)
                .cumulative(high);
    }

    private static double root(DoubleUnaryOperator rising, double start) {
        return root(rising, start, start);
    }

    /** Where a function that rises through zero does so, at or above {@code start}. */
    private static double root(DoubleUnaryOperator rising, double start, double step) {
        double low = start;
        double high = start + step;
        while (rising.applyAsDouble(high) < 0) {
            low = high;
            high = start + 2 * (high - start);
        }
        for (int i = 0; i < BISECTIONS && high - low > Math.ulp(high); i++) {
            double middle = (low + high) / 2;
            if (rising.applyAsDouble(middle) < 0) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }
}
