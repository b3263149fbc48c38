package app.tychon.core.simulation;

import app.tychon.core.uncertainty.Distribution;
import app.tychon.core.uncertainty.FixedDistribution;
import app.tychon.core.uncertainty.InverseTable;
import java.util.Arrays;
import java.util.function.ObjIntConsumer;

/** One uncertain quantity of a compiled plan: its stream and the quickest exact enough way from a draw to a value. */
final class UncertainInput {
    private final Stream stream;
    private final Distribution distribution;
    private final ObjIntConsumer<double[]> inverse;

    UncertainInput(Stream stream, Distribution distribution) {
        this.stream = stream;
        this.distribution = distribution;
        inverse = distribution.hasCostlyInverse() ? InverseTable.of(distribution)::inverse : distribution::inverse;
    }

    boolean isCertain() {
        return distribution instanceof FixedDistribution;
    }

    /** Values for {@code count} iterations from {@code first}, as {@link Draws#fill} gives the draws. */
    void sample(Draws draws, int first, int count, double[] out, int[] words) {
        if (isCertain()) {
            Arrays.fill(out, 0, count, distribution.mean());
            return;
        }
        draws.fill(stream, first, count, out, words);
        inverse.accept(out, count);
    }
}
