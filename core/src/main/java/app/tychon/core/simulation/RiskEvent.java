package app.tychon.core.simulation;

import app.tychon.core.model.Risk;
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
record RiskEvent(
        Risk risk,
        int index,
        Stream draw,
        double from,
        double to,
        int condition,
        boolean occurs,
        Times times,
        List<RiskImpact> impacts) {

    boolean canOccur() {
        return to > from;
    }

    /** Whether chance decides on it at all. */
    boolean isUncertain() {
        return canOccur() && (to - from < 1 || condition >= 0 || times != Times.ONCE);
    }

    /** Fills how often it strikes in each of the first {@code count} lanes. */
    void strike(Draws draws, int first, int count, Exposure.Source durations, Strikes strikes, Scratch scratch) {
        int[] out = strikes.count[index];
        draws.fill(draw, first, count, strikes.draws, scratch);
        for (int k = 0; k < count; k++) {
            double u = strikes.draws[k];
            boolean free = condition < 0 || strikes.count[condition][k] > 0 == occurs;
            out[k] = free && u >= from && u < to ? 1 : 0;
        }
        strikes.note(index, count);
        if (strikes.any(index) && times != Times.ONCE) {
            times.fill(draws, first, count, durations, strikes, out, scratch);
            for (int k = 0; risk.state() == Risk.State.OCCURRED && k < count; k++) {
                // What has occurred struck at least once.
                out[k] = Math.max(1, out[k]);
            }
            strikes.note(index, count);
        }
    }
}
