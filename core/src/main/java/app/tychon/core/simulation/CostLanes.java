package app.tychon.core.simulation;

import java.util.Arrays;

/** Money of the lanes of a batch; one thread's own. */
final class CostLanes {
    final double[] spread = new double[Simulation.BATCH];
    final double[] timeDriven = new double[Simulation.BATCH];
    final double[] risk = new double[Simulation.BATCH];
    /** Total of what stands on each owner, and what risks add there; actions are not in it. */
    final double[][] owners;

    /** Of one item at a time. */
    final double[] total = new double[Simulation.BATCH];

    final double[] amount = new double[Simulation.BATCH];
    final double[] duration = new double[Simulation.BATCH];
    final double[] factor = new double[Simulation.BATCH];
    final Scratch scratch = new Scratch();

    CostLanes(int owners) {
        this.owners = new double[owners][Simulation.BATCH];
    }

    void begin(int count) {
        Arrays.fill(spread, 0, count, 0);
        Arrays.fill(timeDriven, 0, count, 0);
        Arrays.fill(risk, 0, count, 0);
        for (double[] own : owners) {
            Arrays.fill(own, 0, count, 0);
        }
    }

    /** Adds the total of an item to what stands on its owner. */
    void addTotal(int owner, int count) {
        double[] own = owners[owner];
        for (int k = 0; k < count; k++) {
            own[k] += total[k];
        }
    }
}
