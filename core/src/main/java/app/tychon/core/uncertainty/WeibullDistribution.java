package app.tychon.core.uncertainty;

import org.hipparchus.special.Gamma;
import org.hipparchus.util.FastMath;

/**
 * F(x) = 1 − exp(−(x/λ)<sup>k</sup>) for x &gt; 0, with shape k and scale λ. With k = 1 it is the exponential
 * distribution of mean λ.
 */
public final class WeibullDistribution implements Distribution {
    private final double shape;
    private final double scale;

    private WeibullDistribution(double shape, double scale) {
        this.shape = shape;
        this.scale = scale;
    }

    /** @throws IllegalArgumentException unless both are above 0 and finite */
    public static WeibullDistribution of(double shape, double scale) {
        Require.that(
                shape > 0 && scale > 0 && Double.isFinite(shape + scale),
                "a Weibull distribution needs shape and scale above 0, not %s and %s",
                shape,
                scale);
        return new WeibullDistribution(shape, scale);
    }

    @Override
    public double density(double x) {
        if (x <= 0 || x == high()) {
            return 0;
        }
        double power = FastMath.pow(x / scale, shape);
        return shape / x * power * FastMath.exp(-power);
    }

    @Override
    public double cumulative(double x) {
        return x <= 0 ? 0 : -FastMath.expm1(-FastMath.pow(x / scale, shape));
    }

    @Override
    public double inverse(double p) {
        Require.probability(p);
        return scale * FastMath.pow(-FastMath.log1p(-p), 1 / shape);
    }

    @Override
    public boolean hasCostlyInverse() {
        return true;
    }

    @Override
    public double mean() {
        return scale * Gamma.gamma(1 + 1 / shape);
    }

    @Override
    public double standardDeviation() {
        double first = Gamma.gamma(1 + 1 / shape);
        return scale * Math.sqrt(Gamma.gamma(1 + 2 / shape) - first * first);
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
