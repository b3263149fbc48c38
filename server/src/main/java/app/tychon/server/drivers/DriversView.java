package app.tychon.server.drivers;

import jakarta.annotation.Nullable;
import java.util.List;

/**
 * What moves a date, a duration or a cost: every uncertain input against it. Differences are in working days, or in money.
 *
 * @param iterations futures that it rests on
 * @param mean       of what is moved
 * @param plan       its value in the plan
 * @param sd         its standard deviation
 * @param varies     whether it varies at all
 * @param unexplained share of its variance, 0 to 1, that no straight line of the inputs explains; absent where nothing was
 *     to explain
 * @param rows       the strongest rank correlation first
 * @param groups     what rows belong to together, where they are gathered
 */
record DriversView(
        int iterations,
        GoalValue mean,
        GoalValue plan,
        double sd,
        boolean varies,
        @Nullable Double unexplained,
        List<DriverRow> rows,
        List<GroupRow> groups) {

    /**
     * One input. What it has no figure for is absent.
     *
     * @param unit        what one of it is: day, money, strike, factor or score
     * @param low         mean of the output in the input's lowest tenth, less its mean over all
     * @param high        in its highest tenth
     * @param error       half-width of the 95 % interval of their difference
     * @param best        the best rank by swing that chance allows, from 1
     * @param worst       the worst
     * @param spearman    rank correlation
     * @param pearson     product-moment correlation
     * @param slope       by how much the output moves when the input moves by one of its units and all others stay
     * @param coefficient the same in standard deviations
     * @param contribution share of the output's variance; may be below zero where inputs counter each other
     */
    record DriverRow(
            InputView input,
            String unit,
            @Nullable Double low,
            @Nullable Double high,
            @Nullable Double error,
            @Nullable Integer best,
            @Nullable Integer worst,
            @Nullable Double spearman,
            @Nullable Double pearson,
            @Nullable Double slope,
            @Nullable Double coefficient,
            @Nullable Double contribution) {}

    /**
     * Inputs that belong together.
     *
     * @param id    of the branch or resource; a category, a name or a kind
     * @param value the measure added up
     * @param keys  of the inputs, the largest first
     */
    record GroupRow(String id, String name, double value, List<String> keys) {}
}
