package app.tychon.core.simulation.draws;

import app.tychon.core.uncertainty.FixedDistribution;
import java.util.Arrays;

/**
 * One uncertain quantity of a compiled plan: where its draws come from, the distribution in the unit of its author, and
 * what one such unit is worth.
 */
public record UncertainInput(Chances chances, ShapeTables.Table table, double scale) {
    private static final ShapeTables.Table ONE = ShapeTables.Table.of(FixedDistribution.of(1));
    private static final Chances NONE = (batch, out) -> {};

    public static UncertainInput certain(double value) {
        return new UncertainInput(NONE, ONE, value);
    }

    /** The same quantity, drawn from elsewhere. */
    public UncertainInput drawnFrom(Chances other) {
        return new UncertainInput(other, table, scale);
    }

    public boolean isCertain() {
        return table.distribution() instanceof FixedDistribution || scale == 0;
    }

    double mean() {
        return table.distribution().mean() * scale;
    }

    /** Values for every lane of a batch. */
    public void sample(Batch batch, double[] out) {
        if (isCertain()) {
            Arrays.fill(out, 0, batch.count(), mean());
            return;
        }
        chances.fill(batch, out);
        table.inverse().accept(out, batch.count());
        if (scale != 1) {
            for (int k = 0; k < batch.count(); k++) {
                out[k] *= scale;
            }
        }
    }
}
