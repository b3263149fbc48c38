package app.tychon.core.simulation;

import java.util.Arrays;
import org.hipparchus.special.Erf;
import org.hipparchus.util.FastMath;

/**
 * When a run has seen enough: for every watched output the half-width of the interval of its mean and of a percentile is below a
 * tolerance of its standard deviation. The percentile's interval is that of order statistics with the normal
 * approximation to the binomial (Conover 1999).
 *
 * @param tolerance share of the standard deviation, above 0
 * @param level     the percentile, between 0 and 1
 * @param certainty of the intervals, between 0 and 1
 */
public record Steadiness(double tolerance, double level, double certainty) {
    public static final double USUAL_CERTAINTY = 0.95;

    /** Iterations between two looks. */
    static final int STEP = 1000;

    /** @throws IllegalArgumentException for a tolerance or level that makes no sense */
    public Steadiness {
        if (!(tolerance > 0 && tolerance <= 1)) {
            throw new IllegalArgumentException("the tolerance must lie above 0 and at most 1, not " + tolerance);
        }
        if (!(level > 0 && level < 1)) {
            throw new IllegalArgumentException("the percentile's level must lie between 0 and 1, not " + level);
        }
        if (!(certainty > 0 && certainty < 1)) {
            throw new IllegalArgumentException("the certainty must lie between 0 and 1, not " + certainty);
        }
    }

    /** By intervals of 95 %. */
    public Steadiness(double tolerance, double level) {
        this(tolerance, level, USUAL_CERTAINTY);
    }

    /**
     * How far from steady the first {@code count} values are: the larger of the two half-widths as a share of the standard
     * deviation. Zero where nothing varies.
     */
    public static double width(double level, double certainty, double[] values, int count) {
        double[] sorted = Arrays.copyOf(values, count);
        Arrays.sort(sorted);
        double mean = Arrays.stream(sorted).average().orElse(0);
        double squares = Arrays.stream(sorted).map(v -> (v - mean) * (v - mean)).sum();
        double sd = Math.sqrt(squares / Math.max(1, count - 1));
        if (sd == 0) {
            return 0;
        }
        double z = FastMath.sqrt(2) * Erf.erfInv(certainty);
        double half = z * Math.sqrt(count * level * (1 - level));
        int low = (int) Math.max(0, Math.floor(count * level - half) - 1);
        int high = (int) Math.min(count - 1, Math.ceil(count * level + half) - 1);
        return Math.max(z / Math.sqrt(count), (sorted[high] - sorted[low]) / 2 / sd);
    }
}
