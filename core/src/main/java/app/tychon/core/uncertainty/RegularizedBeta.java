package app.tychon.core.uncertainty;

import org.hipparchus.special.Beta;
import org.hipparchus.util.FastMath;

/**
 * The regularised incomplete beta function I<sub>x</sub>(a, b) for fixed a and b, which saves working out B(a, b) anew
 * for each x. Continued fraction DLMF 8.17.22 by Lentz's method; about ten to thirty steps.
 */
final class RegularizedBeta {
    private static final double TINY = 1e-300;
    private static final double SAME = 1e-15;
    private static final int MOST_STEPS = 10_000;

    private final double a;
    private final double b;
    private final double logBeta;

    RegularizedBeta(double a, double b) {
        this.a = a;
        this.b = b;
        logBeta = Beta.logBeta(a, b);
    }

    double logBeta() {
        return logBeta;
    }

    /** @param x from 0 to 1 */
    double value(double x) {
        if (x <= 0) {
            return 0;
        }
        if (x >= 1) {
            return 1;
        }
        double front = FastMath.exp(a * FastMath.log(x) + b * FastMath.log1p(-x) - logBeta);
        // The fraction converges fast on the near side of the mean; the far side is the complement.
        return x < (a + 1) / (a + b + 2) ? front * fraction(x, a, b) / a : 1 - front * fraction(1 - x, b, a) / b;
    }

    private static double fraction(double x, double a, double b) {
        double c = 1;
        double d = 1 / away(1 - (a + b) * x / (a + 1));
        double h = d;
        for (int m = 1; m < MOST_STEPS; m++) {
            double even = m * (b - m) * x / ((a + 2 * m - 1) * (a + 2 * m));
            d = 1 / away(1 + even * d);
            c = away(1 + even / c);
            h *= d * c;
            double odd = -(a + m) * (a + b + m) * x / ((a + 2 * m) * (a + 2 * m + 1));
            d = 1 / away(1 + odd * d);
            c = away(1 + odd / c);
            double factor = d * c;
            h *= factor;
            if (Math.abs(factor - 1) < SAME) {
                return h;
            }
        }
        return h;
    }

    /** Keeps a denominator away from zero. */
    private static double away(double value) {
        return Math.abs(value) < TINY ? TINY : value;
    }
}
