package app.tychon.core.simulation.difference;

import app.tychon.core.simulation.tally.Samples;
import java.util.Arrays;

/** The futures in which a variation comes out otherwise than the plan, in no order. Safe for several threads. */
final class Patches {
    private int[] iterations = new int[16];
    /** Finish, and the parts of cost, four a future. */
    private double[] values = new double[64];

    private int size;

    synchronized void add(int iteration, double finish, double spread, double timeDriven, double risk) {
        if (size == iterations.length) {
            iterations = Arrays.copyOf(iterations, 2 * size);
            values = Arrays.copyOf(values, 8 * size);
        }
        values[4 * size] = finish;
        values[4 * size + 1] = spread;
        values[4 * size + 2] = timeDriven;
        values[4 * size + 3] = risk;
        iterations[size++] = iteration;
    }

    /** Puts what differs among the first {@code count} futures in the place of what the plan had. */
    synchronized void apply(Samples to, int count) {
        for (int i = 0; i < size; i++) {
            if (iterations[i] < count) {
                to.finish[iterations[i]] = values[4 * i];
                to.spread[iterations[i]] = values[4 * i + 1];
                to.timeDriven[iterations[i]] = values[4 * i + 2];
                to.risk[iterations[i]] = values[4 * i + 3];
            }
        }
    }

    /** How many of the first {@code count} futures differ. */
    synchronized int within(int count) {
        return (int) Arrays.stream(iterations, 0, size).filter(i -> i < count).count();
    }
}
