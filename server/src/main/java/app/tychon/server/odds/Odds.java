package app.tychon.server.odds;

import jakarta.annotation.Nullable;
import java.util.List;

/**
 * What a simulation says of one quantity. Values are dates, or amounts: money, or days of work.
 *
 * @param <V> LocalDateTime or Double
 * @param iterations how many futures it comes from
 * @param seed of their draws: simulations with the same one differ only by what differs between their plans
 * @param sampling latin or plain
 * @param plan the plan's value with the chance of keeping it
 * @param target what was promised, likewise
 * @param mode where the density is highest
 * @param sd standard deviation: working days of the project's calendar, or the unit of the amount
 * @param levels the percentiles asked for
 * @param edges edges of the histogram's bins, one more than counts
 * @param curve the cumulative curve at even steps of chance
 */
public record Odds<V>(
        int iterations,
        long seed,
        String sampling,
        Reading<V> plan,
        @Nullable Reading<V> target,
        V mean,
        V mode,
        V min,
        V max,
        double sd,
        double skewness,
        double kurtosis,
        List<Reading<V>> levels,
        List<V> edges,
        List<Integer> counts,
        List<V> curve) {

    /**
     * A value with its chance.
     *
     * @param chance 0 to 1, of the value or less
     * @param chanceError half the 95 % interval of that chance
     * @param low lower end of the 95 % sampling interval of the percentile at that chance
     * @param high its upper end
     * @param fromPlan how far it lies above the plan: calendar days, or the unit of the amount
     * @param workFromPlan of a date, how far in working days of the project's calendar
     */
    public record Reading<V>(
            V value,
            double chance,
            double chanceError,
            V low,
            V high,
            double fromPlan,
            @Nullable Double workFromPlan) {}
}
