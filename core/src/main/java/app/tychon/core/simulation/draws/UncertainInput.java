package app.tychon.core.simulation.draws;

import app.tychon.core.uncertainty.FixedDistribution;
import java.util.Arrays;

/**
 * One uncertain quantity of a compiled plan: where its draws come from, the distribution in the unit of its author, and
 * what one such unit is worth.
 *
 * @param less taken off in the end, down to zero at most; none leaves values as they are
 */
public record UncertainInput(Chances chances, ShapeTables.Table table, double scale, double less) {
    private static final ShapeTables.Table ONE = ShapeTables.Table.of(FixedDistribution.of(1));
    private static final Chances NONE = (batch, out) -> {};

    public UncertainInput(Chances chances, ShapeTables.Table table, double scale) {
        this(chances, table, scale, 0);
    }

    public static UncertainInput certain(double value) {
        return new UncertainInput(NONE, ONE, value);
    }

    /** The same quantity, drawn from elsewhere. */
    public UncertainInput drawnFrom(Chances other) {
        return new UncertainInput(other, table, scale, less);
    }

    /** The same quantity multiplied, then less by an amount, never below zero. */
    public UncertainInput shortened(double factor, double by) {
        return isCertain()
                ? certain(Math.max(0, value() * factor - by))
                : new UncertainInput(chances, table, scale * factor, less * factor + by);
    }

    public boolean isCertain() {
        return table.distribution() instanceof FixedDistribution || scale == 0;
    }

    /** The value of what is certain. */
    public double value() {
        return table.distribution().mean() * scale;
    }

    /** Standard deviation, before anything is taken off. */
    public double standardDeviation() {
        return table.distribution().standardDeviation() * scale;
    }

    /** Whether it comes out as another one, as far as can be seen without drawing: shared, or certain of the same value. */
    public boolean isAlike(UncertainInput other) {
        return this == other || isCertain() && other.isCertain() && value() == other.value();
    }

    /** Values for every lane of a batch. */
    public void sample(Batch batch, double[] out) {
        int count = batch.count();
        if (isCertain()) {
            Arrays.fill(out, 0, count, value());
            return;
        }
        chances.fill(batch, out);
        table.inverse().accept(out, count);
        for (int k = 0; scale != 1 && k < count; k++) {
            out[k] *= scale;
        }
        for (int k = 0; less != 0 && k < count; k++) {
            out[k] = Math.max(0, out[k] - less);
        }
    }
}
