package app.tychon.server.drivers;

import app.tychon.core.analysis.LateFutures;
import app.tychon.core.analysis.LateFutures.Shared;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.settings.Grain;
import app.tychon.core.simulation.settings.Input;
import java.util.List;
import java.util.stream.IntStream;

/**
 * What some futures share that the others do not.
 *
 * @param beyond where they lie beyond
 * @param late   how many there are
 * @param total  of how many
 * @param rows   what differs most first; only what chance alone would seldom make
 */
record SharedView(GoalValue beyond, int late, int total, List<SharedRow> rows) {

    /**
     * One input.
     *
     * @param unit         of the cut and the means: day, money, strike
     * @param struck       whether it is a risk, of which shares count
     * @param late         mean among those futures; of a risk, the share in which it struck
     * @param others       the same among the others
     * @param difference   in standard deviations
     * @param error        half-width of its 95 % interval
     * @param cut          the value that tells the two apart best
     * @param lateBeyond   share of those futures in which it is above the cut, 0 to 1
     * @param othersBeyond of the others
     */
    record SharedRow(
            InputView input,
            String unit,
            boolean struck,
            double late,
            double others,
            double difference,
            double error,
            double cut,
            double lateBeyond,
            double othersBeyond) {}

    /** Of the futures beyond a limit. */
    static SharedView beyond(Goal goal, Limit limit) {
        double[] values = goal.values();
        boolean[] late = new boolean[values.length];
        int count = 0;
        for (int i = 0; i < late.length; i++) {
            late[i] = values[i] > limit.value();
            count += late[i] ? 1 : 0;
        }
        return new SharedView(limit.told(), count, late.length, rows(goal, late));
    }

    /** Of any futures of a goal's run; nothing where they are none, or all. */
    static List<SharedRow> rows(Goal goal, boolean[] some) {
        long count = IntStream.range(0, some.length).filter(i -> some[i]).count();
        if (count == 0 || count == some.length) {
            return List.of();
        }
        Plan plan = goal.run().plan();
        InputView.Words words = new InputView.Words(plan);
        InputUnits units = new InputUnits(plan);
        Grain grain = new Grains(false, false).of(goal);
        return goal
                .run()
                .calculate(
                        some.length,
                        (ready, monitor) -> LateFutures.of(goal.inputs(), grain, goal.settings(), some, monitor))
                .stream()
                .filter(Shared::isSure)
                .map(shared -> row(shared, words, units))
                .toList();
    }

    private static SharedRow row(Shared shared, InputView.Words words, InputUnits units) {
        boolean struck = shared.input().kind() == Input.Kind.RISK;
        double each = struck ? 1 : units.each(shared.input());
        return new SharedRow(
                words.of(shared.input()),
                units.of(shared.input()),
                struck,
                shared.late() / each,
                shared.others() / each,
                shared.difference(),
                shared.high() - shared.difference(),
                shared.cut() / each,
                shared.lateBeyond(),
                shared.othersBeyond());
    }
}
