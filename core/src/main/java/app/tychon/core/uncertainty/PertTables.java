package app.tychon.core.uncertainty;

import app.tychon.core.model.Shape;
import java.util.concurrent.atomic.AtomicReferenceArray;

/**
 * Tables of inverses for PERT distributions of the usual weight. Moved to (0, 1) they are a family of one parameter, where
 * the likely value lies, and their quantiles change smoothly with it: a table is the Lagrange interpolation of those of
 * the {@value #WINDOW} nearest of {@value #STEPS} steps, which are made when first needed. That costs microseconds where
 * solving for the quantiles costs a hundred times that.
 */
public final class PertTables {
    private static final int STEPS = 32;
    private static final int WINDOW = 8;
    private static final double ROUNDING = 1e-9;

    private final AtomicReferenceArray<InverseTable> columns = new AtomicReferenceArray<>(STEPS + 1);

    /** Whether a distribution belongs to the family. */
    public static boolean fits(Distribution distribution) {
        return distribution instanceof BetaDistribution beta
                && beta.alpha() >= 1
                && beta.beta() >= 1
                && Math.abs(beta.alpha() + beta.beta() - 2 - Shape.Pert.USUAL_WEIGHT) < ROUNDING;
    }

    /** @param distribution one that {@link #fits} */
    public InverseTable of(Distribution distribution) {
        BetaDistribution beta = (BetaDistribution) distribution;
        double at = (beta.alpha() - 1) / Shape.Pert.USUAL_WEIGHT * STEPS;
        int first = Math.max(0, Math.min(STEPS + 1 - WINDOW, (int) at - WINDOW / 2 + 1));
        InverseTable[] near = new InverseTable[WINDOW];
        double[] weights = new double[WINDOW];
        for (int j = 0; j < WINDOW; j++) {
            near[j] = column(first + j);
            weights[j] = 1;
            for (int i = 0; i < WINDOW; i++) {
                weights[j] *= i == j ? 1 : (at - first - i) / (j - i);
            }
        }
        return InverseTable.mixture(beta, near, weights, beta.high() - beta.low());
    }

    /** Two threads may both make the first of a column; they make the same. */
    private InverseTable column(int index) {
        InverseTable table = columns.get(index);
        if (table == null) {
            table = InverseTable.of(PertDistribution.of(0, (double) index / STEPS, 1, Shape.Pert.USUAL_WEIGHT));
            columns.set(index, table);
        }
        return table;
    }
}
