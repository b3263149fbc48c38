package app.tychon.core.statistics;

import java.util.Arrays;
import java.util.stream.IntStream;
import org.hipparchus.special.Erf;
import org.hipparchus.util.FastMath;

/**
 * The sampled values of one quantity. The unit is the caller's.
 *
 * <p>A percentile is the estimator of type 7 of Hyndman and Fan, "Sample quantiles in statistical packages", The American
 * Statistician 50 (1996): linear between the order statistics x<sub>(k)</sub> at p = (k − 1)/(n − 1). The chance of a
 * value is its exact inverse.
 */
public final class Sample {
    /** How to go part of the way between two neighbouring values. */
    @FunctionalInterface
    public interface Between {
        double at(double lower, double upper, double part);
    }

    private static final Between LINEAR = (lower, upper, part) -> lower + part * (upper - lower);
    private static final double USUAL_CERTAINTY = 0.95;

    private final double[] sorted;
    private final Between between;

    private Sample(double[] sorted, Between between) {
        this.sorted = sorted;
        this.between = between;
    }

    /** @throws IllegalArgumentException without values */
    public static Sample of(double[] values) {
        return of(values, LINEAR);
    }

    /** A sample in which percentiles between two values are found by {@code between}, which must be monotone. */
    public static Sample of(double[] values, Between between) {
        if (values.length == 0) {
            throw new IllegalArgumentException("a sample needs at least one value");
        }
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return new Sample(sorted, between);
    }

    public int size() {
        return sorted.length;
    }

    public double min() {
        return sorted[0];
    }

    public double max() {
        return sorted[sorted.length - 1];
    }

    /** The values in rising order. */
    public double[] sorted() {
        return sorted.clone();
    }

    public double mean() {
        double sum = 0;
        for (double value : sorted) {
            sum += value - sorted[0];
        }
        return sorted[0] + sum / sorted.length;
    }

    /** Of the population the sample comes from (n − 1); zero for a single value. */
    public double standardDeviation() {
        return sorted.length < 2 ? 0 : Math.sqrt(centralMoment(2) * sorted.length / (sorted.length - 1));
    }

    /** Third standardised moment; zero without spread. */
    public double skewness() {
        double variance = centralMoment(2);
        return variance == 0 ? 0 : centralMoment(3) / (variance * Math.sqrt(variance));
    }

    /** Fourth standardised moment, 3 for a normal distribution; zero without spread. */
    public double kurtosis() {
        double variance = centralMoment(2);
        return variance == 0 ? 0 : centralMoment(4) / (variance * variance);
    }

    private double centralMoment(int order) {
        double mean = mean();
        double sum = 0;
        for (double value : sorted) {
            double power = 1;
            for (int i = 0; i < order; i++) {
                power *= value - mean;
            }
            sum += power;
        }
        return sum / sorted.length;
    }

    /** @param level chance from 0 to 1 */
    public double percentile(double level) {
        if (!(level >= 0 && level <= 1)) {
            throw new IllegalArgumentException("a chance lies between 0 and 1, not " + level);
        }
        double rank = level * (sorted.length - 1);
        int below = (int) Math.floor(rank);
        if (below == sorted.length - 1) {
            return sorted[below];
        }
        return between(below, rank - below);
    }

    /** The percentiles 1 to 99 (index 0 is P1). */
    public double[] percentiles() {
        return IntStream.rangeClosed(1, 99)
                .mapToDouble(p -> percentile(p / 100.0))
                .toArray();
    }

    private double between(int index, double part) {
        return part == 0 ? sorted[index] : between.at(sorted[index], sorted[index + 1], part);
    }

    /** The chance, 0 to 1, of being at or below a value: the inverse of {@link #percentile}. */
    public double chance(double value) {
        int n = sorted.length;
        if (value < sorted[0]) {
            return 0;
        }
        if (value >= sorted[n - 1]) {
            return 1;
        }
        int below = lastAtOrBelow(value);
        double low = 0;
        double high = 1;
        while (high - low > 1e-12) {
            double middle = (low + high) / 2;
            if (between.at(sorted[below], sorted[below + 1], middle) <= value) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (below + low) / (n - 1);
    }

    /** How many standard deviations on either side of a normal mean hold so much: 1.96 for 95 %. */
    public static double normalQuantile(double certainty) {
        return FastMath.sqrt(2) * Erf.erfInv(certainty);
    }

    /**
     * Half the 95 % interval of a chance that was read off the sample (Wilson, "Probable inference, the law of succession,
     * and statistical inference", JASA 22, 1927), which stays sensible near 0 and 1.
     *
     * @param chance 0 to 1
     */
    public double chanceError(double chance) {
        double z = normalQuantile(USUAL_CERTAINTY);
        double n = sorted.length;
        return z / (1 + z * z / n) * Math.sqrt(chance * (1 - chance) / n + z * z / (4 * n * n));
    }

    private int lastAtOrBelow(double value) {
        int low = 0;
        int high = sorted.length - 1;
        while (low < high) {
            int middle = (low + high + 1) >>> 1;
            if (sorted[middle] <= value) {
                low = middle;
            } else {
                high = middle - 1;
            }
        }
        return low;
    }

    /**
     * A percentile with its 95 % interval from order statistics: the values at ranks np ± 1.96 √(np(1 − p)), rounded
     * outwards (Conover, "Practical Nonparametric Statistics", 3rd ed. 1999, section 3.2).
     */
    public PercentileInterval percentileWithInterval(double level) {
        return percentileWithInterval(level, USUAL_CERTAINTY);
    }

    /** The same with an interval of another certainty, between 0 and 1. */
    public PercentileInterval percentileWithInterval(double level, double certainty) {
        int n = sorted.length;
        double half = normalQuantile(certainty) * Math.sqrt(n * level * (1 - level));
        int low = (int) Math.floor(n * level - half) - 1;
        int high = (int) Math.ceil(n * level + half) - 1;
        return new PercentileInterval(
                level,
                percentile(level),
                sorted[Math.max(0, Math.min(n - 1, low))],
                sorted[Math.max(0, Math.min(n - 1, high))]);
    }
}
