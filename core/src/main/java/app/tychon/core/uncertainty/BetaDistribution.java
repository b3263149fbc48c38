package app.tychon.core.uncertainty;

import org.hipparchus.util.FastMath;

/**
 * f(x) = (x − a)<sup>α−1</sup> (b − x)<sup>β−1</sup> / (B(α, β) (b − a)<sup>α+β−1</sup>) for a ≤ x ≤ b.
 *
 * <p>{@link #inverse} solves the regularised incomplete beta function and costs microseconds; where it is drawn millions
 * of times, use an {@link InverseTable}.
 */
public final class BetaDistribution implements Distribution {
    private final double low;
    private final double high;
    private final double alpha;
    private final double beta;
    private final RegularizedBeta standard;

    private BetaDistribution(double low, double high, double alpha, double beta) {
        this.low = low;
        this.high = high;
        this.alpha = alpha;
        this.beta = beta;
        standard = new RegularizedBeta(alpha, beta);
    }

    /** @throws IllegalArgumentException unless α and β are above 0 and low &lt; high, all finite */
    public static BetaDistribution of(double alpha, double beta, double low, double high) {
        Require.that(
                alpha > 0 && beta > 0 && low < high && Double.isFinite(high - low + alpha + beta),
                "a beta distribution needs alpha and beta above 0 and low < high, not %s, %s, %s, %s",
                alpha,
                beta,
                low,
                high);
        return new BetaDistribution(low, high, alpha, beta);
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

    @Override
    public double inverse(double p) {
        Require.probability(p);
        if (p == 0 || p == 1) {
            return p == 0 ? low : high;
        }
        double start = alpha / (alpha + beta);
        return low + (high - low) * InverseSolver.solve(standard::value, this::standardDensity, p, 0, 1, start);
    }

    public double alpha() {
        return alpha;
    }

    public double beta() {
        return beta;
    }

    @Override
    public boolean hasCostlyInverse() {
        return true;
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
