package app.tychon.core.analysis;

import app.tychon.core.statistics.Sample;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** Two quantities of the same iterations, such as finish and cost. Units are the caller's. */
public final class JointSample {
    private final double[] x;
    private final double[] y;

    private JointSample(double[] x, double[] y) {
        this.x = x;
        this.y = y;
    }

    /** @throws IllegalArgumentException unless both have the same number of values, at least one */
    public static JointSample of(double[] x, double[] y) {
        if (x.length != y.length || x.length == 0) {
            throw new IllegalArgumentException(
                    "a value of each is needed for every iteration; there are " + x.length + " and " + y.length);
        }
        return new JointSample(x.clone(), y.clone());
    }

    /**
     * Shares of the iterations, adding up to 1.
     *
     * @param both at or below either limit
     * @param onlyX at or below the limit of x only
     * @param onlyY at or below the limit of y only
     */
    public record Quadrants(double both, double onlyX, double onlyY, double neither) {}

    public Quadrants quadrants(double limitX, double limitY) {
        int[] counts = new int[4];
        for (int i = 0; i < x.length; i++) {
            counts[(x[i] <= limitX ? 0 : 1) + (y[i] <= limitY ? 0 : 2)]++;
        }
        double n = x.length;
        return new Quadrants(counts[0] / n, counts[2] / n, counts[1] / n, counts[3] / n);
    }

    /** P(X ≤ x and Y ≤ y). */
    public double chance(double limitX, double limitY) {
        return quadrants(limitX, limitY).both();
    }

    /** A pair of limits that hold together. */
    public record Pair(double x, double y) {}

    /**
     * Pairs that hold together with a given chance, or the least more that the iterations allow: for rising limits of x,
     * from the least at which that is possible to the largest value, at even steps of their own chance, the least limit of
     * y.
     *
     * @param chance above 0, at most 1
     * @param points at least two
     */
    public List<Pair> pairs(double chance, int points) {
        int needed = (int) Math.ceil(chance * x.length - 1e-9);
        double[] sorted = Sample.of(x).sorted();
        List<Pair> pairs = new ArrayList<>();
        for (int p = 0; p < points; p++) {
            double limit = sorted[needed - 1 + (int) ((long) (x.length - needed) * p / (points - 1))];
            double[] within = IntStream.range(0, x.length)
                    .filter(i -> x[i] <= limit)
                    .mapToDouble(i -> y[i])
                    .sorted()
                    .toArray();
            pairs.add(new Pair(limit, within[needed - 1]));
        }
        return pairs;
    }
}
