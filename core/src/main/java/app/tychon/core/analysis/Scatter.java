package app.tychon.core.analysis;

import app.tychon.core.statistics.Centred;
import app.tychon.core.statistics.Ranking;
import java.util.OptionalDouble;

/**
 * How two quantities of the same iterations go together.
 *
 * @param pearson  product-moment correlation; empty where either never varies
 * @param spearman rank correlation, likewise
 * @param slope    of the straight line of least squares, units of y a unit of x; empty where x never varies
 * @param error    half-width of the rank correlation's 95 % interval (Bonett and Wright 2000)
 */
public record Scatter(OptionalDouble pearson, OptionalDouble spearman, OptionalDouble slope, double error) {
    private static final double NORMAL_95 = 1.959964;
    /** Fewer iterations say nothing of a shape. */
    private static final int LEAST = 10;

    /** @throws IllegalArgumentException unless both have the same number of values, at least one */
    public static Scatter of(double[] x, double[] y) {
        if (x.length != y.length || x.length == 0) {
            throw new IllegalArgumentException(
                    "a value of each is needed for every iteration; there are " + x.length + " and " + y.length);
        }
        Centred across = Centred.of(x);
        Centred up = Centred.of(y);
        OptionalDouble pearson = across.correlation(up);
        OptionalDouble spearman = Centred.of(Ranking.of(x).ranks())
                .correlation(Centred.of(Ranking.of(y).ranks()));
        OptionalDouble slope = !across.varies()
                ? OptionalDouble.empty()
                : OptionalDouble.of(
                        pearson.isEmpty() ? 0 : pearson.getAsDouble() * up.deviation() / across.deviation());
        return new Scatter(pearson, spearman, slope, error(spearman.orElse(0), x.length));
    }

    private static double error(double spearman, int count) {
        return count < LEAST ? 1 : NORMAL_95 * Math.sqrt((1 + spearman * spearman / 2) / (count - 3));
    }

    /** Whether the cloud leans either way by more than chance would make it. */
    public boolean hasShape() {
        return spearman.isPresent() && Math.abs(spearman.getAsDouble()) > error;
    }
}
