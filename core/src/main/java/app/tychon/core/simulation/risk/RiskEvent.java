package app.tychon.core.simulation.risk;

import app.tychon.core.model.Risk;
import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.draws.RandomStream;
import java.util.List;

/**
 * A risk made ready: it occurs where its draw falls from {@code from} up to {@code to}, always where that is 0 to 1.
 *
 * @param index     row of the working space
 * @param draw      stream of its occurrence, shared by an exclusive group
 * @param condition row of the risk it depends on, -1 for none
 * @param occurs    whether that one must have occurred
 * @param times     how often it strikes where it occurs
 */
public record RiskEvent(
        Risk risk,
        int index,
        RandomStream draw,
        double from,
        double to,
        int condition,
        boolean occurs,
        Times times,
        List<RiskImpact> impacts) {

    public boolean canOccur() {
        return to > from;
    }

    /** Whether chance decides on it at all. */
    public boolean isUncertain() {
        return canOccur() && (to - from < 1 || condition >= 0 || times != Times.ONCE);
    }

    /** Fills how often it strikes in each of the first {@code count} lanes. */
    void strike(Batch batch, Exposure.Source durations, Strikes strikes) {
        int[] out = strikes.count[index];
        batch.fill(draw, strikes.draws);
        for (int k = 0; k < batch.count(); k++) {
            double u = strikes.draws[k];
            boolean free = condition < 0 || strikes.count[condition][k] > 0 == occurs;
            out[k] = free && u >= from && u < to ? 1 : 0;
        }
        strikes.note(index, batch.count());
        if (strikes.any(index) && times != Times.ONCE) {
            times.fill(batch, durations, strikes, out);
            for (int k = 0; risk.state() == Risk.State.OCCURRED && k < batch.count(); k++) {
                // What has occurred struck at least once.
                out[k] = Math.max(1, out[k]);
            }
            strikes.note(index, batch.count());
        }
    }
}
