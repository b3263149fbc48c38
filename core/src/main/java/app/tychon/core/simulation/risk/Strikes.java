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

    private Strikes(int[][] count, double[][] size) {
        this.count = count;
        this.size = size;
        any = new boolean[count.length];
    }

    Strikes(int risks, int impacts) {
        this(new int[risks][Batch.WIDTH], new double[impacts][Batch.WIDTH]);
    }

    /** Without rows yet: each is shared with another working space, or begun. */
    static Strikes withoutRows(int risks, int impacts) {
        return new Strikes(new int[risks][], new double[impacts][]);
    }

    /** Makes rows for a risk of its own. */
    public void begin(RiskEvent event) {
        count[event.index()] = new int[Batch.WIDTH];
        event.impacts().forEach(impact -> size[impact.index()] = new double[Batch.WIDTH]);
    }

    /** Takes over a risk that strikes as in another working space; rows are shared. */
    public void share(RiskEvent event, Strikes other, RiskEvent same) {
        count[event.index()] = other.count[same.index()];
        any[event.index()] = other.any[same.index()];
        for (int i = 0; i < event.impacts().size(); i++) {
            size[event.impacts().get(i).index()] =
                    other.size[same.impacts().get(i).index()];
        }
    }

    void note(int risk, int lanes) {
        any[risk] = Arrays.stream(count[risk], 0, lanes).anyMatch(c -> c > 0);
    }

    /** Whether a risk struck in any lane of the batch. */
    public boolean any(int risk) {
        return any[risk];
    }
}
