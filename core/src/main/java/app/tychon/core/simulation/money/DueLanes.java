package app.tychon.core.simulation.money;

import app.tychon.core.simulation.draws.Batch;
import java.util.Arrays;
import java.util.List;

/** From when to when the parts of an item fall due in each lane, and which share of it they are; one thread's own. */
public final class DueLanes {
    /** By part. */
    public final double[][] from;

    public final double[][] to;
    public final double[][] share;

    DueLanes(int parts) {
        from = new double[parts][Batch.WIDTH];
        to = new double[parts][Batch.WIDTH];
        share = new double[parts][Batch.WIDTH];
    }

    /**
     * Fills the parts of an item. Of an item of which it is known what has been paid, nothing falls due before the data date:
     * parts that would have count as paid, unless all would.
     */
    public void fill(CostItem item, Dates dates, int count) {
        List<Part> parts = item.parts();
        for (int p = 0; p < parts.size(); p++) {
            Part part = parts.get(p);
            switch (part.when()) {
                case START -> {
                    dates.starts(part.place(), from[p]);
                    System.arraycopy(from[p], 0, to[p], 0, count);
                }
                case FINISH -> {
                    dates.finishes(part.place(), to[p]);
                    System.arraycopy(to[p], 0, from[p], 0, count);
                }
                case EVENLY -> {
                    dates.starts(part.place(), from[p]);
                    dates.finishes(part.place(), to[p]);
                }
                case DAY -> {
                    Arrays.fill(from[p], 0, count, part.instant());
                    Arrays.fill(to[p], 0, count, part.instant());
                }
            }
            Arrays.fill(share[p], 0, count, part.share());
            for (int k = 0; k < count; k++) {
                if (!Double.isFinite(from[p][k])) {
                    from[p][k] = item.prices().base();
                    to[p][k] = item.prices().base();
                }
            }
        }
        if (item.isUnderWay()) {
            for (int k = 0; k < count; k++) {
                dropPaid(item, parts.size(), k);
            }
        }
    }

    /** Makes shares those of the money as prices have it when each part falls due. @param rates by how much prices rise in each lane */
    public void weigh(CostItem item, double[][] rates, int count) {
        Prices prices = item.prices();
        int parts = item.parts().size();
        if (prices.areConstant() || parts == 1) {
            return;
        }
        for (int k = 0; k < count; k++) {
            double yearly = prices.rate() < 0 ? 0 : rates[prices.rate()][k];
            double sum = 0;
            for (int p = 0; p < parts; p++) {
                share[p][k] *= prices.level(from[p][k], to[p][k], yearly);
                sum += share[p][k];
            }
            for (int p = 0; p < parts; p++) {
                share[p][k] /= sum;
            }
        }
    }

    private void dropPaid(CostItem item, int parts, int lane) {
        double earliest = item.earliest();
        double ahead = 0;
        for (int p = 0; p < parts; p++) {
            ahead += to[p][lane] > earliest ? share[p][lane] : 0;
        }
        for (int p = 0; p < parts; p++) {
            boolean stays = ahead <= 0 || to[p][lane] > earliest;
            share[p][lane] = stays ? share[p][lane] / (ahead > 0 ? ahead : 1) : 0;
            from[p][lane] = Math.max(from[p][lane], earliest);
            to[p][lane] = Math.max(to[p][lane], earliest);
        }
    }
}
