package app.tychon.core.analysis;

import app.tychon.core.analysis.Driver.Swing;
import app.tychon.core.statistics.Ranking;
import app.tychon.core.uncertainty.BetaDistribution;

/**
 * Means of an output over the iterations in which an input is in its lowest, or in its highest, tenth. Iterations of
 * equal input at the edge of a tenth share the places left in it, so that no order among equals decides.
 */
final class Tenths {
    private static final double TENTH = 0.1;
    private static final double NORMAL_95 = 1.959964;
    /** From so many values on, Student's t is the normal distribution to a few percent. */
    private static final double MANY = 60;

    private final Ranking input;
    private final double[] output;
    private final double places;

    private Tenths(Ranking input, double[] output) {
        this.input = input;
        this.output = output;
        places = Math.max(1, input.size() * TENTH);
    }

    /**
     * A mean, and the variance of that mean, which is not known, NaN, of a single value.
     *
     * @param count values behind it, those of less weight counted for less
     */
    private record Mean(double value, double variance, double count) {}

    /** @param mean of the output over all iterations */
    static Swing swing(Ranking input, double[] output, double mean) {
        Tenths tenths = new Tenths(input, output);
        return swing(tenths.lowest(), tenths.highest(), mean);
    }

    /** The same of what struck or did not: the mean where the value is above zero beside that where it is not. */
    static Swing struck(double[] values, double[] output, double mean) {
        Sums spared = new Sums();
        Sums struck = new Sums();
        for (int i = 0; i < values.length; i++) {
            (values[i] > 0 ? struck : spared).add(output[i] - output[0], 1);
        }
        return swing(spared.mean(output[0]), struck.mean(output[0]), mean);
    }

    private static Swing swing(Mean low, Mean high, double mean) {
        double deviation = Math.sqrt(low.variance() + high.variance());
        return new Swing(low.value() - mean, high.value() - mean, quantile(low, high) * deviation);
    }

    /** Of Student's t for a difference of two means of unequal variance (Welch, Biometrika 34, 1947), both sides together 5 %. */
    private static double quantile(Mean low, Mean high) {
        double both = low.variance() + high.variance();
        if (Math.min(low.count(), high.count()) >= MANY || !(both > 0)) {
            return NORMAL_95;
        }
        double freedom = both
                * both
                / (low.variance() * low.variance() / (low.count() - 1)
                        + high.variance() * high.variance() / (high.count() - 1));
        double cut = BetaDistribution.of(freedom / 2, 0.5, 0, 1).inverse(0.05);
        return Math.sqrt(freedom * (1 / cut - 1));
    }

    private Mean lowest() {
        int edge = (int) Math.ceil(places) - 1;
        int from = input.startOfEqual(edge);
        return mean(0, from, from, input.endOfEqual(edge));
    }

    private Mean highest() {
        int edge = input.size() - (int) Math.ceil(places);
        int to = input.endOfEqual(edge);
        return mean(to, input.size(), input.startOfEqual(edge), to);
    }

    /** @param edgeFrom where those begin of which only a part may belong */
    private Mean mean(int from, int to, int edgeFrom, int edgeTo) {
        Sums sums = new Sums();
        for (int place = from; place < to; place++) {
            sums.add(output[input.at(place)] - output[0], 1);
        }
        double share = (places - (to - from)) / (edgeTo - edgeFrom);
        for (int place = edgeFrom; place < edgeTo; place++) {
            sums.add(output[input.at(place)] - output[0], share);
        }
        return sums.mean(output[0]);
    }

    /** Weighted sums of deviations. The variance of their mean is that of independent values of those weights. */
    private static final class Sums {
        private double weight;
        private double weightSquares;
        private double sum;
        private double squares;

        void add(double value, double share) {
            weight += share;
            weightSquares += share * share;
            sum += share * value;
            squares += share * value * value;
        }

        Mean mean(double base) {
            double mean = sum / weight;
            double variance = Math.max(0, squares / weight - mean * mean);
            double count = weight * weight / weightSquares;
            return new Mean(base + mean, count > 1 ? variance / (count - 1) : Double.NaN, count);
        }
    }
}
