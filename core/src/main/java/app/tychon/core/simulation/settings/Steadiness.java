package app.tychon.core.simulation.settings;

import app.tychon.core.statistics.PercentileInterval;
import app.tychon.core.statistics.Sample;
import java.util.Arrays;

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
    public static final int STEP = 1000;

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
        Sample sample = Sample.of(Arrays.copyOf(values, count));
        double sd = sample.standardDeviation();
        if (sd == 0) {
            return 0;
        }
        PercentileInterval interval = sample.percentileWithInterval(level, certainty);
        return Math.max(
                Sample.normalQuantile(certainty) / Math.sqrt(count), (interval.high() - interval.low()) / 2 / sd);
    }
}
