package app.tychon.core.simulation.tally;

import java.util.HashMap;
import java.util.Map;

/**
 * Sums over all iterations that come out the same to the last bit whichever thread finishes first: the sums of each
 * batch are added in the order of the batches.
 */
public final class OrderedSums {
    private final double[] totals;
    private final Map<Integer, double[]> waiting = new HashMap<>();
    private int next;

    public OrderedSums(int size) {
        totals = new double[size];
    }

    int size() {
        return totals.length;
    }

    /** Hands over the sums of a batch; the array must not be changed afterwards. */
    public synchronized void add(int batch, double[] sums) {
        waiting.put(batch, sums);
        for (double[] ready = waiting.remove(next); ready != null; ready = waiting.remove(next)) {
            for (int i = 0; i < totals.length; i++) {
                totals[i] += ready[i];
            }
            next++;
        }
    }

    public double[] totals() {
        if (!waiting.isEmpty()) {
            throw new IllegalStateException("batch " + next + " is missing");
        }
        return totals;
    }
}
