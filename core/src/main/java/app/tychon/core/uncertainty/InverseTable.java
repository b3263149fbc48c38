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
    private static final double SMALL_STEP = 1e-3;
    private static final int FLOATS_PER_CACHE_LINE = 16;

    private final Distribution exact;
    /**
     * Four coefficients a piece, of the distance from the median: those of the lower half from its end to the median, then
     * those of the upper half. In half the precision, which is far beyond that of the pieces, twice as much of a table
     * stays in the processor's cache.
     */
    private final float[] pieces;

    private final double median;

    private InverseTable(Distribution exact) {
        this.exact = exact;
        median = exact.inverse(0.5);
        pieces = new float[2 * UPPER];
        double smallStep = SMALL_STEP * (exact.inverse(0.75) - exact.inverse(0.25));
        fill(0, false, smallStep);
        fill(UPPER, true, smallStep);
    }

    /** A mixture of other tables, moved and stretched to a distribution whose quantiles are that mixture of theirs. */
    private InverseTable(Distribution exact, InverseTable[] others, double[] weights, double scale) {
        this.exact = exact;
        pieces = new float[2 * UPPER];
        double mixedMedian = 0;
        for (int j = 0; j < others.length; j++) {
            mixedMedian += weights[j] * others[j].median;
            float weight = (float) (weights[j] * scale);
            float[] from = others[j].pieces;
            for (int i = 0; i < pieces.length; i++) {
                pieces[i] += weight * from[i];
            }
        }
        median = exact.low() + scale * mixedMedian;
    }

    public static InverseTable of(Distribution exact) {
        return new InverseTable(exact);
    }

    /** @param scale width of the exact distribution, where the others lie on (0, 1) */
    static InverseTable mixture(Distribution exact, InverseTable[] others, double[] weights, double scale) {
        return new InverseTable(exact, others, weights, scale);
    }

    private void fill(int offset, boolean upper, double smallStep) {
        double x0 = exact.inverse(upper ? 1 - knot(0) : knot(0));
        double slope0 = slopeAt(x0, upper);
        for (int piece = 0; piece < PIECES; piece++) {
            double width = knot(piece + 1) - knot(piece);
            double x1 = next(x0, slope0, width, knot(piece + 1), upper, smallStep);
            double slope1 = slopeAt(x1, upper);
            double m0 = slope0 * width;
            double m1 = slope1 * width;
            int at = offset + piece * 4;
            pieces[at] = (float) (x0 - median);
            pieces[at + 1] = (float) m0;
            pieces[at + 2] = (float) (3 * (x1 - x0) - 2 * m0 - m1);
            pieces[at + 3] = (float) (2 * (x0 - x1) + m0 + m1);
            x0 = x1;
            slope0 = slope1;
        }
    }

    /**
     * The value at the next knot, from the one before: a midpoint step along the slope, mended by steps of Halley's method
     * on the cumulative, with the density's own slope as it was over the step. A step of a thousandth of the interquartile
     * range leaves an error far below a millionth.
     */
    private double next(double x0, double slope0, double width, double tail, boolean upper, double smallStep) {
        double p = upper ? 1 - tail : tail;
        double density0 = 1 / Math.abs(slope0);
        double x = x0 + width * slopeAt(x0 + width / 2 * slope0, upper);
        for (int step = 0; step < MOST_STEPS; step++) {
            if (!(x > exact.low() && x < exact.high())) {
                break;
            }
            double density = exact.density(x);
            double newton = (exact.cumulative(x) - p) / density;
            double bend = x == x0 ? 0 : (density - density0) / (x - x0);
            x -= newton / (1 - newton * bend / (2 * density));
            if (Math.abs(newton) < smallStep) {
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
        double tail = Math.min(p, 1 - p);
        if (tail < NEAREST) {
            return exact.inverse(p);
        }
        long bits = Double.doubleToRawLongBits(tail);
        int piece = (int) ((bits >>> (52 - BITS)) - FIRST);
        if (piece == PIECES) {
            return median;
        }
        // Within an octave pieces are even, so the remaining bits are how far into the piece p lies.
        double t = (bits & WITHIN) * WITHIN_UNIT;
        // The sign of 0.5 - p, not a branch that no processor could foresee, tells the halves apart.
        int upper = (int) (Double.doubleToRawLongBits(0.5 - p) >>> 63);
        int at = 4 * piece + UPPER * upper;
        return median + (((pieces[at + 3] * t + pieces[at + 2]) * t + pieces[at + 1]) * t + pieces[at]);
    }

    /** Turns the first {@code count} chances into values, in place. */
    public void inverse(double[] chances, int count) {
        fetch();
        for (int k = 0; k < count; k++) {
            chances[k] = inverse(chances[k]);
        }
    }

    /**
     * Reads once over the table, in order, so that it is in the processor's cache before it is asked at random; that is a
     * third faster where many tables take turns.
     */
    private void fetch() {
        float sum = 0;
        for (int i = 0; i < pieces.length; i += FLOATS_PER_CACHE_LINE) {
            sum += pieces[i];
        }
        if (Float.isNaN(sum)) {
            throw new IllegalStateException("a table has entries that are no numbers");
        }
    }
}
