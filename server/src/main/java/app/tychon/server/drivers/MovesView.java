package app.tychon.server.drivers;

import app.tychon.server.pool.JobState;
import jakarta.annotation.Nullable;
import java.util.List;

/**
 * How far a percentile moves when something is taken away, or takes less; as far as it is known.
 *
 * @param level      percent
 * @param iterations futures that it rests on
 * @param done       inputs that are worked out
 * @param total      inputs that are asked about
 * @param rows       strongest first
 * @param groups     what rows belong to together, where they are gathered
 * @param refusal    why it cannot be worked out
 */
record MovesView(
        JobState state,
        double level,
        int iterations,
        int done,
        int total,
        List<MoveRow> rows,
        List<DriversView.GroupRow> groups,
        @Nullable String refusal) {
    /**
     * One input.
     *
     * @param value  the percentile with the change
     * @param change that, less the percentile without: working days, or money
     * @param error  half-width of its 95 % interval; absent where the futures are too few for one
     */
    record MoveRow(InputView input, GoalValue value, double change, @Nullable Double error) {}
}
