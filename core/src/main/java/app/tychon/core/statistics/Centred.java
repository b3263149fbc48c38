package app.tychon.core.statistics;

import java.util.OptionalDouble;

/**
 * Values less their mean, for correlations of one quantity with several.
 *
 * @param mean    exact where all values are the same
 * @param squares sum of the squares of {@code values}
 */
public record Centred(double[] values, double mean, double squares) {
    /** @param values at least one */
    public static Centred of(double[] values) {
        double base = values[0];
        double sum = 0;
        for (double value : values) {
            sum += value - base;
        }
        double mean = base + sum / values.length;
        double[] centred = new double[values.length];
        for (int i = 0; i < values.length; i++) {
            centred[i] = values[i] - mean;
        }
        return new Centred(centred, mean, product(centred, centred));
    }

    public boolean varies() {
        return squares > 0;
    }

    /** Standard deviation of the sample; 0 of a single value. */
    public double deviation() {
        return values.length < 2 ? 0 : Math.sqrt(squares / (values.length - 1));
    }

    /** Pearson's product-moment correlation; nothing where either does not vary. */
    public OptionalDouble correlation(Centred other) {
        return varies() && other.varies()
                ? OptionalDouble.of(product(values, other.values) / Math.sqrt(squares * other.squares))
                : OptionalDouble.empty();
    }

    /** Four sums side by side, which the processor adds at once. */
    private static double product(double[] x, double[] y) {
        double a = 0;
        double b = 0;
        double c = 0;
        double d = 0;
        int i = 0;
        for (; i + 3 < x.length; i += 4) {
            a += x[i] * y[i];
            b += x[i + 1] * y[i + 1];
            c += x[i + 2] * y[i + 2];
            d += x[i + 3] * y[i + 3];
        }
        for (; i < x.length; i++) {
            a += x[i] * y[i];
        }
        return a + b + (c + d);
    }
}
