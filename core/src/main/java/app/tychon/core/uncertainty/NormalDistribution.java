package app.tychon.core.uncertainty;

import org.hipparchus.special.Erf;
import org.hipparchus.util.FastMath;

/** f(x) = exp(−(x − μ)²/(2σ²)) / (σ√(2π)) for any x. */
public final class NormalDistribution implements Distribution {
    private static final double ROOT_2 = FastMath.sqrt(2);
    private static final double ROOT_2_PI = FastMath.sqrt(2 * FastMath.PI);

    private final double mean;
    private final double sd;

    private NormalDistribution(double mean, double sd) {
        this.mean = mean;
        this.sd = sd;
    }

    /** @throws IllegalArgumentException unless sd &gt; 0 and both are finite */
    public static NormalDistribution of(double mean, double sd) {
        Require.that(
                Double.isFinite(mean) && sd > 0 && Double.isFinite(sd),
                "a normal distribution needs a standard deviation above 0, not mean %s and sd %s",
                mean,
                sd);
        return new NormalDistribution(mean, sd);
    }

    @Override
    public double density(double x) {
        double z = (x - mean) / sd;
        return FastMath.exp(-z * z / 2) / (sd * ROOT_2_PI);
    }

    @Override
    public double cumulative(double x) {
        return Erf.erfc((mean - x) / (sd * ROOT_2)) / 2;
    }

    @Override
    public double inverse(double p) {
        Require.probability(p);
        return mean - sd * ROOT_2 * Erf.erfcInv(2 * p);
    }

    @Override
    public boolean hasCostlyInverse() {
        return true;
    }

    @Override
    public double mean() {
        return mean;
    }

    @Override
    public double standardDeviation() {
        return sd;
    }

    @Override
    public double low() {
        return Double.NEGATIVE_INFINITY;
    }

    @Override
    public double high() {
        return Double.POSITIVE_INFINITY;
    }
}
