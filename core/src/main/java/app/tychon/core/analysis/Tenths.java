package app.tychon.core.analysis;

import java.util.Arrays;
import java.util.function.DoublePredicate;

/**
 * Means of an output over the iterations in which an input is in its lowest, or in its highest, tenth. Iterations of
 * equal input at the edge of a tenth share the places left in it, so that no order among equals decides. O(n log n).
 */
final class Tenths {
    private static final double TENTH = 0.1;

    private final double[] input;
    private final double[] output;
    private final double[] sorted;
    private final double places;

    private Tenths(double[] input, double[] output) {
        this.input = input;
        this.output = output;
        sorted = input.clone();
        Arrays.sort(sorted);
        places = Math.max(1, sorted.length * TENTH);
    }

    /** Mean over the highest tenth less that over the lowest. */
    static double swing(double[] input, double[] output) {
        Tenths tenths = new Tenths(input, output);
        int last = (int) Math.ceil(tenths.places) - 1;
        double low = tenths.sorted[last];
        double high = tenths.sorted[tenths.sorted.length - 1 - last];
        return tenths.mean(v -> v > high, high) - tenths.mean(v -> v < low, low);
    }

    /** @param edge the value of which only a part of the iterations may belong */
    private double mean(DoublePredicate inside, double edge) {
        double sum = 0;
        int count = 0;
        double edgeSum = 0;
        int edgeCount = 0;
        for (int i = 0; i < input.length; i++) {
            if (inside.test(input[i])) {
                sum += output[i] - output[0];
                count++;
            } else if (input[i] == edge) {
                edgeSum += output[i] - output[0];
                edgeCount++;
            }
        }
        return (sum + edgeSum / edgeCount * (places - count)) / places;
    }
}
