package app.tychon.core.uncertainty;

import java.util.Arrays;
import java.util.Comparator;
import java.util.stream.IntStream;

/** A few values, each with its probability. Between them there is nothing, so the density is zero but for spikes. */
public final class DiscreteDistribution implements Distribution {
    private static final double ROUNDING = 1e-6;

    private final double[] values;
    private final double[] cumulative;

    private DiscreteDistribution(double[] values, double[] cumulative) {
        this.values = values;
        this.cumulative = cumulative;
    }

    /**
     * @param probabilities of the values, adding up to 1
     * @throws IllegalArgumentException for none, unequal numbers of both, a negative probability, or another sum
     */
    public static DiscreteDistribution of(double[] values, double[] probabilities) {
        double sum = Arrays.stream(probabilities).sum();
        Require.that(
                values.length > 0 && values.length == probabilities.length,
                "a discrete distribution needs as many probabilities as values, not %s and %s",
                values.length,
                probabilities.length);
        Require.that(
                Math.abs(sum - 1) < ROUNDING && Arrays.stream(probabilities).allMatch(p -> p >= 0),
                "probabilities must not be negative and add up to 1, not %s",
                sum);
        int[] order = IntStream.range(0, values.length)
                .boxed()
                .sorted(Comparator.comparingDouble(i -> values[i]))
                .mapToInt(Integer::intValue)
                .toArray();
        double[] sorted = new double[values.length];
        double[] cumulative = new double[values.length];
        double reached = 0;
        for (int i = 0; i < order.length; i++) {
            sorted[i] = values[order[i]];
            reached += probabilities[order[i]] / sum;
            cumulative[i] = reached;
        }
        cumulative[order.length - 1] = 1;
        return new DiscreteDistribution(sorted, cumulative);
    }

    /** Data as they are: each value as likely as any other. */
    public static DiscreteDistribution ofData(double[] data) {
        double[] probabilities = new double[data.length];
        Arrays.fill(probabilities, 1.0 / Math.max(1, data.length));
        return of(data, probabilities);
    }

    private double probability(int i) {
        return cumulative[i] - (i == 0 ? 0 : cumulative[i - 1]);
    }

    @Override
    public double density(double x) {
        return Arrays.binarySearch(values, x) >= 0 ? Double.POSITIVE_INFINITY : 0;
    }

    @Override
    public double cumulative(double x) {
        int last = -1;
        for (int i = 0; i < values.length && values[i] <= x; i++) {
            last = i;
        }
        return last < 0 ? 0 : cumulative[last];
    }

    @Override
    public double inverse(double p) {
        Require.probability(p);
        int found = Arrays.binarySearch(cumulative, p);
        return values[Math.min(values.length - 1, found >= 0 ? found : -found - 1)];
    }

    @Override
    public double mean() {
        return IntStream.range(0, values.length)
                .mapToDouble(i -> values[i] * probability(i))
                .sum();
    }

    @Override
    public double standardDeviation() {
        double mean = mean();
        return Math.sqrt(IntStream.range(0, values.length)
                .mapToDouble(i -> (values[i] - mean) * (values[i] - mean) * probability(i))
                .sum());
    }

    @Override
    public double low() {
        return values[0];
    }

    @Override
    public double high() {
        return values[values.length - 1];
    }
}
