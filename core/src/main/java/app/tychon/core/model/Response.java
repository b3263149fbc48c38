package app.tychon.core.model;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;

/**
 * A risk as it would be after something was done about it, and what that takes.
 *
 * @param decided whether it will be done: then the plan has the risk as it is after it, and what its actions cost
 */
@RecordBuilder
public record Response(double probability, List<Impact> impacts, List<Action> actions, boolean decided)
        implements ResponseBuilder.With {
    public Response {
        impacts = List.copyOf(impacts);
        actions = List.copyOf(actions);
    }

    /** A response that is thought of and not decided on. */
    public Response(double probability, List<Impact> impacts, List<Action> actions) {
        this(probability, impacts, actions, false);
    }

    /** Actions that cost money: all but those that were dropped. */
    public List<Action> keptActions() {
        return actions.stream()
                .filter(action -> action.state() != Action.State.DROPPED)
                .toList();
    }

    /** What its actions cost together. */
    public double cost() {
        return keptActions().stream().mapToDouble(Action::cost).sum();
    }

    /** Whether all that was to be done is done. */
    public boolean isDone() {
        return decided
                && !keptActions().isEmpty()
                && keptActions().stream().allMatch(action -> action.state() == Action.State.DONE);
    }
}
