package app.tychon.core.simulation;

import app.tychon.core.uncertainty.FixedDistribution;
import java.util.Arrays;

/**
 * One uncertain quantity of a compiled plan: where its draws come from, the distribution in the unit of its author, and
 * what one such unit is worth.
 */
record UncertainInput(Chances chances, ShapeTables.Table table, double scale) {
    private static final ShapeTables.Table ONE = ShapeTables.Table.of(FixedDistribution.of(1));
    private static final Chances NONE = (draws, first, count, out, scratch) -> {};

    static UncertainInput certain(double value) {
        return new UncertainInput(NONE, ONE, value);
    }

    /** The same quantity, drawn from elsewhere. */
    UncertainInput drawnFrom(Chances other) {
        return new UncertainInput(other, table, scale);
    }

    boolean isCertain() {
        return table.distribution() instanceof FixedDistribution || scale == 0;
    }

    double mean() {
        return table.distribution().mean() * scale;
    }

    /** Values for {@code count} iterations from {@code first}, as {@link Draws#fill} gives the draws. */
    void sample(Draws draws, int first, int count, double[] out, Scratch scratch) {
        if (isCertain()) {
            Arrays.fill(out, 0, count, mean());
            return;
        }
        chances.fill(draws, first, count, out, scratch);
        table.inverse().accept(out, count);
        if (scale != 1) {
            for (int k = 0; k < count; k++) {
                out[k] *= scale;
            }
        }
    }
}
