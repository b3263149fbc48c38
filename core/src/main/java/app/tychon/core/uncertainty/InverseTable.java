package app.tychon.core.uncertainty;

/**
 * The inverse cumulative of a distribution as a table: cubic Hermite pieces through exact values, with their exact
 * slopes 1 / f(x).
 *
 * <p>Knots lie {@value #PER_OCTAVE} to the halving of p towards either end, so that they crowd where the inverse is
 * steep and are found from the bits of p alone: no logarithm, no search, the same on every machine. Closer to the ends
 * than 2<sup>-{@value #OCTAVES}</sup> the distribution itself is asked, so there is no error in the far tails. Elsewhere
 * the error is below 1e-5 of the interquartile range (shown by a test).
 */
public final class InverseTable {
    private static final int OCTAVES = 14;
    private static final int BITS = 3;
    private static final int PER_OCTAVE = 1 << BITS;
    private static final int PIECES = (OCTAVES - 1) * PER_OCTAVE;
    private static final double NEAREST = 1.0 / (1 << OCTAVES);
    /** Bits of p = 2^-14, shifted down to one unit a piece. */
    private static final long FIRST = Double.doubleToLongBits(NEAREST) >>> (52 - BITS);

    private static final long WITHIN = (1L << (52 - BITS)) - 1;
    private static final double WITHIN_UNIT = 1.0 / (1L << (52 - BITS));
    private static final int UPPER = PIECES * 4;
    private static final int MOST_STEPS = 6;

    private final Distribution exact;
    /** Four coefficients a piece: those of the lower half from its end to the median, then those of the upper half. */
    private final double[] pieces;

    private final double median;
    private final double quartiles;

    private InverseTable(Distribution exact) {
        this.exact = exact;
        quartiles = exact.inverse(0.75) - exact.inverse(0.25);
        pieces = new double[2 * UPPER];
        fill(0, false);
        fill(UPPER, true);
        median = exact.inverse(0.5);
    }

    public static InverseTable of(Distribution exact) {
        return new InverseTable(exact);
    }

    private void fill(int offset, boolean upper) {
        double x0 = exact.inverse(upper ? 1 - knot(0) : knot(0));
        double slope0 = slopeAt(x0, upper);
        for (int piece = 0; piece < PIECES; piece++) {
            double width = knot(piece + 1) - knot(piece);
            double x1 = next(x0, slope0, width, knot(piece + 1), upper);
            double slope1 = slopeAt(x1, upper);
            double m0 = slope0 * width;
            double m1 = slope1 * width;
            int at = offset + piece * 4;
            pieces[at] = x0;
            pieces[at + 1] = m0;
            pieces[at + 2] = 3 * (x1 - x0) - 2 * m0 - m1;
            pieces[at + 3] = 2 * (x0 - x1) + m0 + m1;
            x0 = x1;
            slope0 = slope1;
        }
    }

    /**
     * The value at the next knot, from the one before: a midpoint step along the slope, mended by Newton steps on the
     * cumulative. A step below a hundred-thousandth of the interquartile range leaves an error of about its square.
     */
    private double next(double x0, double slope0, double width, double tail, boolean upper) {
        double p = upper ? 1 - tail : tail;
        double x = x0 + width * slopeAt(x0 + width / 2 * slope0, upper);
        for (int step = 0; step < MOST_STEPS; step++) {
            if (!(x > exact.low() && x < exact.high())) {
                break;
            }
            double correction = (exact.cumulative(x) - p) / exact.density(x);
            x -= correction;
            if (Math.abs(correction) < 1e-5 * quartiles) {
                return x;
            }
        }
        return exact.inverse(p);
    }

    private static double knot(int index) {
        return Double.longBitsToDouble((FIRST + index) << (52 - BITS));
    }

    private double slopeAt(double x, boolean upper) {
        return (upper ? -1 : 1) / exact.density(x);
    }

    /** The value not exceeded with probability {@code p}, 0 &lt; p &lt; 1. */
    public double inverse(double p) {
        double tail = p < 0.5 ? p : 1 - p;
        if (tail < NEAREST) {
            return exact.inverse(p);
        }
        long bits = Double.doubleToLongBits(tail);
        long piece = (bits >>> (52 - BITS)) - FIRST;
        if (piece == PIECES) {
            return median;
        }
        // Within an octave pieces are even, so the remaining bits are how far into the piece p lies.
        double t = (bits & WITHIN) * WITHIN_UNIT;
        int at = 4 * (int) piece + (p < 0.5 ? 0 : UPPER);
        return ((pieces[at + 3] * t + pieces[at + 2]) * t + pieces[at + 1]) * t + pieces[at];
    }

    /** Turns the first {@code count} chances into values, in place. */
    public void inverse(double[] chances, int count) {
        for (int k = 0; k < count; k++) {
            chances[k] = inverse(chances[k]);
        }
    }
}
