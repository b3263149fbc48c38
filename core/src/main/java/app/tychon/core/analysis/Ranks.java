package app.tychon.core.analysis;

import java.util.Arrays;
import java.util.Comparator;
import java.util.stream.IntStream;

/** Ranks and the correlations that go with them. */
public final class Ranks {
    private Ranks() {}

    /** Ranks from 1, equal values sharing the mean of theirs. O(n log n). */
    public static double[] of(double[] values) {
        Integer[] order = IntStream.range(0, values.length).boxed().toArray(Integer[]::new);
        Arrays.sort(order, Comparator.comparingDouble(i -> values[i]));
        double[] ranks = new double[values.length];
        int from = 0;
        while (from < order.length) {
            int to = from;
            while (to + 1 < order.length && values[order[to + 1]] == values[order[from]]) {
                to++;
            }
            for (int i = from; i <= to; i++) {
                ranks[order[i]] = (from + to) / 2.0 + 1;
            }
            from = to + 1;
        }
        return ranks;
    }

    /** Pearson's product-moment correlation; zero where either does not vary. */
    public static double pearson(double[] x, double[] y) {
        double meanX = Arrays.stream(x).sum() / x.length;
        double meanY = Arrays.stream(y).sum() / y.length;
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
        return xx == 0 || yy == 0 ? 0 : xy / Math.sqrt(xx * yy);
    }

    /** Spearman's rank correlation. */
    public static double spearman(double[] x, double[] y) {
        return pearson(of(x), of(y));
    }
}
