package app.tychon.core.uncertainty;

import org.hipparchus.special.Erf;
import org.hipparchus.util.FastMath;

/**
 * The standard normal cumulative as a table of cubic Hermite pieces with exact values and slopes, error below 1e-9; beyond
 * four deviations the function itself is asked, so that small chances keep their digits.
 */
public final class NormalTable {
    private static final double END = 4;
    private static final int PER_UNIT = 64;
    private static final double ROOT_2 = FastMath.sqrt(2);
    private static final double ROOT_2_PI = FastMath.sqrt(2 * FastMath.PI);
    private static final double[] VALUES = new double[(int) (2 * END * PER_UNIT) + 2];
    private static final double[] SLOPES = new double[VALUES.length];
    private static final InverseTable INVERSE = InverseTable.of(NormalDistribution.of(0, 1));

    static {
        for (int i = 0; i < VALUES.length; i++) {
            double z = -END + (double) i / PER_UNIT;
            VALUES[i] = exact(z);
            SLOPES[i] = FastMath.exp(-z * z / 2) / ROOT_2_PI / PER_UNIT;
        }
    }

    private NormalTable() {}

    private static double exact(double z) {
        return Erf.erfc(-z / ROOT_2) / 2;
    }

    /** The chance of a standard normal at or below {@code z}, kept above 0 and below 1. */
    public static double cumulative(double z) {
        double at = (z + END) * PER_UNIT;
        if (!(at >= 0 && at < VALUES.length - 1)) {
            return Math.min(Math.max(exact(z), Double.MIN_NORMAL), Math.nextDown(1.0));
        }
        int piece = (int) at;
        double t = at - piece;
        double x0 = VALUES[piece];
        double x1 = VALUES[piece + 1];
        double m0 = SLOPES[piece];
        double m1 = SLOPES[piece + 1];
        return ((2 * (x0 - x1) + m0 + m1) * t + 3 * (x1 - x0) - 2 * m0 - m1) * t * t + m0 * t + x0;
    }

    /** The standard normal that is not exceeded with chance {@code p}, 0 &lt; p &lt; 1. */
    public static double inverse(double p) {
        return INVERSE.inverse(p);
    }
}
