package app.tychon.core.simulation;

import java.util.Arrays;

/** Working space for the risks of a batch: how often each struck in each lane, and how hard. */
final class Strikes {
    /** By risk, in the model's order. */
    final int[][] count;
    /** By impact with one draw for all its targets: total size of all strikes of a lane. */
    final double[][] size;

    final double[] draws = new double[Simulation.BATCH];
    final double[] own = new double[Simulation.BATCH];
    final double[] years = new double[Simulation.BATCH];
    final double[] scale = new double[Simulation.BATCH];
    final double[] added = new double[Simulation.BATCH];
    private final boolean[] any;

    Strikes(int risks, int impacts) {
        count = new int[risks][Simulation.BATCH];
        size = new double[impacts][Simulation.BATCH];
        any = new boolean[risks];
    }

    void note(int risk, int lanes) {
        any[risk] = Arrays.stream(count[risk], 0, lanes).anyMatch(c -> c > 0);
    }

    /** Whether a risk struck in any lane of the batch. */
    boolean any(int risk) {
        return any[risk];
    }
}
