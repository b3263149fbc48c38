package app.tychon.core.uncertainty;

import org.hipparchus.special.Gamma;
import org.hipparchus.util.FastMath;

/** f(x) = x<sup>k−1</sup> exp(−x/θ) / (Γ(k) θ<sup>k</sup>) for x &gt; 0, with shape k and scale θ. */
public final class GammaDistribution implements Distribution {
    private final double shape;
    private final double scale;
    private final double logGamma;

    private GammaDistribution(double shape, double scale) {
        this.shape = shape;
        this.scale = scale;
        logGamma = Gamma.logGamma(shape);
    }

    /** @throws IllegalArgumentException unless both are above 0 and finite */
    public static GammaDistribution of(double shape, double scale) {
        Require.that(
                shape > 0 && scale > 0 && Double.isFinite(shape + scale),
                "a gamma distribution needs shape and scale above 0, not %s and %s",
                shape,
                scale);
        return new GammaDistribution(shape, scale);
    }

    @Override
    public double density(double x) {
        if (x <= 0 || x == high()) {
            return 0;
        }
        return FastMath.exp((shape - 1) * FastMath.log(x / scale) - x / scale - logGamma) / scale;
    }

    @Override
    public double cumulative(double x) {
        if (x <= 0) {
            return 0;
        }
        return x == high() ? 1 : Gamma.regularizedGammaP(shape, x / scale);
    }

    @Override
    public double inverse(double p) {
        Require.probability(p);
        if (p == 0 || p == 1) {
            return p == 0 ? low() : high();
        }
        double above = mean() + 2 * standardDeviation();
        while (cumulative(above) < p) {
            above *= 2;
        }
        return InverseSolver.solve(this::cumulative, this::density, p, 0, above, Math.min(mean(), above / 2));
    }

    @Override
    public boolean hasCostlyInverse() {
        return true;
    }

    @Override
    public double mean() {
        return shape * scale;
    }

    @Override
    public double standardDeviation() {
        return scale * Math.sqrt(shape);
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
