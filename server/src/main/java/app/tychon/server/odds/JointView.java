package app.tychon.server.odds;

import app.tychon.core.analysis.JointSample;
import app.tychon.core.analysis.JointSample.Quadrants;
import app.tychon.core.calendar.Instants;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Finish and cost of the same futures.
 *
 * @param points some of the futures, evenly chosen, for drawing
 * @param both share of futures, 0 to 1, that keep date and budget
 * @param dateOnly share that keeps the date and not the budget
 * @param costOnly share that keeps the budget and not the date
 * @param pairs dates and budgets that are kept together with the chance asked for, for rising dates
 */
record JointView(
        LocalDateTime date,
        double amount,
        List<PointView> points,
        double both,
        double dateOnly,
        double costOnly,
        double neither,
        List<PairView> pairs) {
    private static final int MOST_POINTS = 2_000;
    private static final int PAIRS = 40;

    /** @param number of the future in its run, from 1 */
    record PointView(int number, LocalDateTime finish, double cost) {}

    /** A date and a budget that hold together. */
    record PairView(LocalDateTime finish, double cost) {}

    static JointView of(Opened run, double date, double amount, double chance) {
        double[] finish = run.result().finish();
        double[] cost = run.result().cost().totals();
        // To the minute, as dates are told.
        double[] minutes = Arrays.stream(finish).map(Math::rint).toArray();
        JointSample joint = JointSample.of(minutes, cost);
        Quadrants shares = joint.quadrants(date, amount);
        int every = Math.max(1, finish.length / MOST_POINTS);
        return new JointView(
                Instants.toCivil(date),
                amount,
                IntStream.range(0, finish.length)
                        .filter(i -> i % every == 0)
                        .mapToObj(i -> new PointView(i + 1, Instants.toCivil(finish[i]), cost[i]))
                        .toList(),
                shares.both(),
                shares.onlyX(),
                shares.onlyY(),
                shares.neither(),
                joint.pairs(chance, PAIRS).stream()
                        .map(pair -> new PairView(Instants.toCivil(pair.x()), pair.y()))
                        .toList());
    }
}
