package app.tychon.core.simulation.money;

import app.tychon.core.simulation.draws.Batch;
import java.util.Arrays;

/** Money of the lanes of a batch; one thread's own. */
public final class CostLanes {
    public final double[] spread = new double[Batch.WIDTH];
    public final double[] timeDriven = new double[Batch.WIDTH];
    public final double[] risk = new double[Batch.WIDTH];
    /** Total of what stands on each owner, and what risks add there; actions are not in it. */
    public final double[][] owners;

    /** Of one item at a time, apart by cause and together. */
    public final double[] itemSpread = new double[Batch.WIDTH];

    public final double[] itemDriven = new double[Batch.WIDTH];
    public final double[] itemRisk = new double[Batch.WIDTH];
    public final double[] total = new double[Batch.WIDTH];

    /** What a risk adds, at the prices of the plan's start. */
    public final double[] added = new double[Batch.WIDTH];

    public final double[] amount = new double[Batch.WIDTH];
    public final double[] duration = new double[Batch.WIDTH];
    public final double[] factor = new double[Batch.WIDTH];

    /** By how much prices rise a year, by row of {@link Prices#rate}. */
    public final double[][] rates;
    /** Of one item: when it falls due; the level of prices then, and at the planned dates. */
    public final DueLanes due;

    public final double[] level = new double[Batch.WIDTH];
    public final double[] levelAtPlan = new double[Batch.WIDTH];

    CostLanes(int owners, int rates, int parts) {
        this.owners = new double[owners][Batch.WIDTH];
        this.rates = new double[rates][Batch.WIDTH];
        due = new DueLanes(parts);
    }

    void begin(int count) {
        Arrays.fill(spread, 0, count, 0);
        Arrays.fill(timeDriven, 0, count, 0);
        Arrays.fill(risk, 0, count, 0);
        for (double[] own : owners) {
            Arrays.fill(own, 0, count, 0);
        }
    }

    /** Adds an item to the sums and to what stands on its owner. */
    void addItem(int owner, int count) {
        double[] own = owners[owner];
        for (int k = 0; k < count; k++) {
            spread[k] += itemSpread[k];
            timeDriven[k] += itemDriven[k];
            risk[k] += itemRisk[k];
            own[k] += total[k];
        }
    }

    /** Adds what a risk adds. */
    void addRisk(int owner, int count) {
        double[] own = owners[owner];
        for (int k = 0; k < count; k++) {
            risk[k] += total[k];
            own[k] += total[k];
        }
    }
}
