package app.tychon.core.uncertainty;

import java.util.Arrays;

/** Points on a cumulative curve, joined by straight lines: between two of them every value is as likely as any other. */
public final class CumulativeDistribution implements Distribution {
    private final double[] values;
    private final double[] chances;

    private CumulativeDistribution(double[] values, double[] chances) {
        this.values = values;
        this.chances = chances;
    }

    /**
     * @param values rising
     * @param chances of each value or less, rising from 0 to 1
     * @throws IllegalArgumentException otherwise
     */
    public static CumulativeDistribution of(double[] values, double[] chances) {
        int n = values.length;
        Require.that(
                n >= 2 && n == chances.length && chances[0] == 0 && chances[n - 1] == 1,
                "a cumulative curve needs at least two points, from chance 0 to chance 1");
        for (int i = 1; i < n; i++) {
            Require.that(
                    values[i] > values[i - 1] && chances[i] >= chances[i - 1],
                    "the points of a cumulative curve must rise; (%s, %s) follows (%s, %s)",
                    values[i],
                    chances[i],
                    values[i - 1],
                    chances[i - 1]);
        }
        return new CumulativeDistribution(values.clone(), chances.clone());
    }

    @Override
    public double density(double x) {
        if (x < low() || x > high()) {
            return 0;
        }
        int i = Math.max(1, Math.min(values.length - 1, firstAbove(values, x)));
        return (chances[i] - chances[i - 1]) / (values[i] - values[i - 1]);
    }

    @Override
    public double cumulative(double x) {
        if (x <= low()) {
            return 0;
        }
        return x >= high() ? 1 : between(values, chances, x);
    }

    @Override
    public double inverse(double p) {
        Require.probability(p);
        if (p == 0 || p == 1) {
            return p == 0 ? low() : high();
        }
        return between(chances, values, p);
    }

    private static double between(double[] xs, double[] ys, double x) {
        int i = firstAbove(xs, x);
        return ys[i - 1] + (ys[i] - ys[i - 1]) * (x - xs[i - 1]) / (xs[i] - xs[i - 1]);
    }

    private static int firstAbove(double[] xs, double x) {
        int found = Arrays.binarySearch(xs, x);
        int i = found >= 0 ? found + 1 : -found - 1;
        while (i < xs.length && xs[i] <= x) {
            i++;
        }
        return i;
    }

    @Override
    public double mean() {
        double sum = 0;
        for (int i = 1; i < values.length; i++) {
            sum += (chances[i] - chances[i - 1]) * (values[i] + values[i - 1]) / 2;
        }
        return sum;
    }

    @Override
    public double standardDeviation() {
        double mean = mean();
        double sum = 0;
        for (int i = 1; i < values.length; i++) {
            double a = values[i - 1] - mean;
            double b = values[i] - mean;
            sum += (chances[i] - chances[i - 1]) * (a * a + a * b + b * b) / 3;
        }
        return Math.sqrt(sum);
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
