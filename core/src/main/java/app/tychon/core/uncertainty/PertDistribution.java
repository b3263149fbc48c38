package app.tychon.core.uncertainty;

import org.hipparchus.util.FastMath;

/**
 * A beta distribution on [a, b] with α = 1 + w(c − a)/(b − a) and β = 1 + w(b − c)/(b − a), for low a, likely c, high b
 * and weight w; mean (a + wc + b)/(w + 2). With w = 4 it is the PERT distribution of Malcolm, Roseboom, Clark and Fazar,
 * "Application of a technique for research and development program evaluation", Operations Research 7 (1959).
 *
 * <p>{@link #inverse} solves the regularised incomplete beta function and costs microseconds; where it is drawn millions
 * of times, use an {@link InverseTable}.
 */
public final class PertDistribution implements Distribution {
    private static final int MOST_STEPS = 200;

    private final double low;
    private final double high;
    private final double alpha;
    private final double beta;
    private final RegularizedBeta standard;

    private PertDistribution(double low, double high, double alpha, double beta) {
        this.low = low;
        this.high = high;
        this.alpha = alpha;
        this.beta = beta;
        standard = new RegularizedBeta(alpha, beta);
    }

    /** @throws IllegalArgumentException unless low ≤ likely ≤ high, low &lt; high, all finite, and weight &gt; 0 */
    public static PertDistribution of(double low, double likely, double high, double weight) {
        Require.that(
                low <= likely && likely <= high && low < high && Double.isFinite(high - low) && weight > 0,
                "PERT needs low <= likely <= high, low < high and a weight above 0, not %s, %s, %s, %s",
                low,
                likely,
                high,
                weight);
        double range = high - low;
        return new PertDistribution(
                low, high, 1 + weight * (likely - low) / range, 1 + weight * (high - likely) / range);
    }

    @Override
    public double density(double x) {
        double range = high - low;
        double t = (x - low) / range;
        if (t < 0 || t > 1) {
            return 0;
        }
        return standardDensity(t) / range;
    }

    private double standardDensity(double t) {
        double left = alpha == 1 ? 0 : (alpha - 1) * FastMath.log(t);
        double right = beta == 1 ? 0 : (beta - 1) * FastMath.log1p(-t);
        return FastMath.exp(left + right - standard.logBeta());
    }

    @Override
    public double cumulative(double x) {
        if (x <= low) {
            return 0;
        }
        return x >= high ? 1 : standard.value((x - low) / (high - low));
    }

    /** Newton's method kept within a shrinking bracket, on whichever tail is the smaller. */
    @Override
    public double inverse(double p) {
        Require.probability(p);
        if (p == 0) {
            return low;
        }
        if (p == 1) {
            return high;
        }
        return low + (high - low) * standardInverse(p);
    }

    private double standardInverse(double p) {
        double below = 0;
        double above = 1;
        double t = alpha / (alpha + beta);
        for (int step = 0; step < MOST_STEPS; step++) {
            double error = standard.value(t) - p;
            if (error == 0) {
                return t;
            }
            if (error < 0) {
                below = t;
            } else {
                above = t;
            }
            double next = t - error / standardDensity(t);
            if (!(next > below && next < above)) {
                next = (below + above) / 2;
            }
            if (Math.abs(next - t) <= 1e-15 * next) {
                return next;
            }
            t = next;
        }
        return t;
    }

    @Override
    public double mean() {
        return low + (high - low) * alpha / (alpha + beta);
    }

    @Override
    public double standardDeviation() {
        double sum = alpha + beta;
        return (high - low) * Math.sqrt(alpha * beta / (sum * sum * (sum + 1)));
    }

    @Override
    public double low() {
        return low;
    }

    @Override
    public double high() {
        return high;
    }
}
