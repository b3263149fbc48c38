package app.tychon.core.simulation.risk;

import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.draws.UncertainInput;
import java.util.Arrays;

/**
 * For how many years a recurring risk can strike: as long as the longest of its targets lasts, an activity by its sampled
 * duration before any risk, a branch or the project by the plan, of work under way what remains; or a stated period.
 *
 * @param fixed           years that do not vary
 * @param positions       activities whose sampled durations count
 * @param yearsPerMinute  what a minute of each one's duration is in years of the clock, breaks in its work included
 */
public record Exposure(double fixed, int[] positions, double[] yearsPerMinute) {
    static final double MINUTES_PER_YEAR = 365.25 * 24 * 60;

    /** The inputs that sampled durations come from. */
    @FunctionalInterface
    public interface Source {
        UncertainInput duration(int position);
    }

    static Exposure of(double years) {
        return new Exposure(years, new int[0], new double[0]);
    }

    /** Fills {@link Strikes#years}. */
    void years(Batch batch, Source durations, Strikes strikes) {
        Arrays.fill(strikes.years, 0, batch.count(), fixed);
        for (int p = 0; p < positions.length; p++) {
            durations.duration(positions[p]).sample(batch, strikes.own);
            for (int k = 0; k < batch.count(); k++) {
                strikes.years[k] = Math.max(strikes.years[k], strikes.own[k] * yearsPerMinute[p]);
            }
        }
    }
}
