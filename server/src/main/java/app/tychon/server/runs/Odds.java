package app.tychon.server.runs;

import jakarta.annotation.Nullable;
import java.util.List;

/**
 * What a run says of one quantity. Values are dates for the finish, amounts of money for the cost.
 *
 * @param <V> LocalDateTime or Double
 * @param plan the plan's value with the chance of keeping it
 * @param target what was promised, likewise
 * @param mode where the density is highest
 * @param sd standard deviation: working days of the project's calendar, or money
 * @param levels the percentiles asked for
 * @param edges edges of the histogram's bins, one more than counts
 * @param curve the cumulative curve at even steps of chance
 */
record Odds<V>(
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
     * @param low lower end of the 95 % sampling interval of the percentile at that chance
     * @param high its upper end
     * @param fromPlan how far it lies above the plan: calendar days, or money
     */
    record Reading<V>(V value, double chance, V low, V high, double fromPlan) {}
}
