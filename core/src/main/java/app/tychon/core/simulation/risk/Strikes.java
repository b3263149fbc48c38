package app.tychon.core.simulation.risk;

import app.tychon.core.simulation.draws.Batch;
import java.util.Arrays;

/** Working space for the risks of a batch: how often each struck in each lane, and how hard. */
public final class Strikes {
    /** By risk, in the model's order. */
    public final int[][] count;
    /** By impact with one draw for all its targets: total size of all strikes of a lane. */
    final double[][] size;

    final double[] draws = new double[Batch.WIDTH];
    final double[] own = new double[Batch.WIDTH];
    final double[] years = new double[Batch.WIDTH];
    final double[] scale = new double[Batch.WIDTH];
    final double[] added = new double[Batch.WIDTH];
    private final boolean[] any;

    Strikes(int risks, int impacts) {
        count = new int[risks][Batch.WIDTH];
        size = new double[impacts][Batch.WIDTH];
        any = new boolean[risks];
    }

    void note(int risk, int lanes) {
        any[risk] = Arrays.stream(count[risk], 0, lanes).anyMatch(c -> c > 0);
    }

    /** Whether a risk struck in any lane of the batch. */
    public boolean any(int risk) {
        return any[risk];
    }
}
