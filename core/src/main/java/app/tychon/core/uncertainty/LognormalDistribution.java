package app.tychon.core.uncertainty;

import org.hipparchus.util.FastMath;

/**
 * The exponential of a normal quantity: ln X is normal with σ² = ln(1 + s²/m²) and μ = ln m − σ²/2, for mean m and
 * standard deviation s of X itself; x &gt; 0.
 */
public final class LognormalDistribution implements Distribution {
    private final double mean;
    private final double sd;
    private final NormalDistribution log;

    private LognormalDistribution(double mean, double sd) {
        this.mean = mean;
        this.sd = sd;
        double variance = FastMath.log1p(sd * sd / (mean * mean));
        log = NormalDistribution.of(FastMath.log(mean) - variance / 2, FastMath.sqrt(variance));
    }

    /** @throws IllegalArgumentException unless both are above 0 and finite */
    public static LognormalDistribution of(double mean, double sd) {
        Require.that(
                mean > 0 && sd > 0 && Double.isFinite(mean + sd),
                "a lognormal distribution needs mean and standard deviation above 0, not %s and %s",
                mean,
                sd);
        return new LognormalDistribution(mean, sd);
    }

    @Override
    public double density(double x) {
        return x <= 0 ? 0 : log.density(FastMath.log(x)) / x;
    }

    @Override
    public double cumulative(double x) {
        return x <= 0 ? 0 : log.cumulative(FastMath.log(x));
    }

    @Override
    public double inverse(double p) {
        return FastMath.exp(log.inverse(p));
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
        return 0;
    }

    @Override
    public double high() {
        return Double.POSITIVE_INFINITY;
    }
}
