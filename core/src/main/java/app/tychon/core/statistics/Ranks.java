package app.tychon.core.statistics;

import java.util.Arrays;
import java.util.OptionalDouble;

/** Ranks and the correlations that go with them. */
public final class Ranks {
    private Ranks() {}

    /** Ranks from 1, equal values sharing the mean of theirs. O(n log n). */
    public static double[] of(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        double[] meanRank = new double[sorted.length];
        int from = 0;
        while (from < sorted.length) {
            int to = from;
            while (to + 1 < sorted.length && sorted[to + 1] == sorted[from]) {
                to++;
            }
            Arrays.fill(meanRank, from, to + 1, (from + to) / 2.0 + 1);
            from = to + 1;
        }
        double[] ranks = new double[values.length];
        for (int i = 0; i < values.length; i++) {
            ranks[i] = meanRank[Arrays.binarySearch(sorted, values[i])];
        }
        return ranks;
    }

    /** Pearson's product-moment correlation; zero where either does not vary. */
    public static double pearson(double[] x, double[] y) {
        return correlation(x, y).orElse(0);
    }

    /** Pearson's product-moment correlation; nothing where either does not vary. */
    public static OptionalDouble correlation(double[] x, double[] y) {
        double meanX = x[0] + Arrays.stream(x).map(v -> v - x[0]).sum() / x.length;
        double meanY = y[0] + Arrays.stream(y).map(v -> v - y[0]).sum() / y.length;
        double xy = 0;
        double xx = 0;
        double yy = 0;
        for (int i = 0; i < x.length; i++) {
            double dx = x[i] - meanX;
            double dy = y[i] - meanY;
            xy += dx * dy;
            xx += dx * dx;
            yy += dy * dy;
        }
        return xx == 0 || yy == 0 ? OptionalDouble.empty() : OptionalDouble.of(xy / Math.sqrt(xx * yy));
    }

    /** Spearman's rank correlation. */
    public static double spearman(double[] x, double[] y) {
        return pearson(of(x), of(y));
    }
}
