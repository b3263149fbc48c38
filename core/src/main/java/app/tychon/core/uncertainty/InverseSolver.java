package app.tychon.core.uncertainty;

import java.util.function.DoubleUnaryOperator;

/** Inverts a continuous cumulative: Newton's method kept within a shrinking bracket. */
final class InverseSolver {
    private static final int MOST_STEPS = 300;
    private static final double SAME = 1e-15;

    private InverseSolver() {}

    /**
     * The value at which the cumulative reaches {@code p}.
     *
     * @param below a value with cumulative at most p
     * @param above a value with cumulative at least p
     * @param start a guess between them
     */
    static double solve(
            DoubleUnaryOperator cumulative,
            DoubleUnaryOperator density,
            double p,
            double below,
            double above,
            double start) {
        double x = start;
        double low = below;
        double high = above;
        for (int step = 0; step < MOST_STEPS; step++) {
            double error = cumulative.applyAsDouble(x) - p;
            if (error == 0) {
                return x;
            }
            if (error < 0) {
                low = x;
            } else {
                high = x;
            }
            double next = x - error / density.applyAsDouble(x);
            if (!(next > low && next < high)) {
                next = (low + high) / 2;
            }
            if (Math.abs(next - x) <= SAME * Math.abs(next)) {
                return next;
            }
            x = next;
        }
        return x;
    }
}
