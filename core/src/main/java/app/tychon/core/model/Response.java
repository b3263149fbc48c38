package app.tychon.core.model;

import java.util.List;

/** A risk as it would be after something was done about it, and what that takes. */
public record Response(double probability, List<Impact> impacts, List<Action> actions) {
    public Response {
        impacts = List.copyOf(impacts);
        actions = List.copyOf(actions);
    }

    /** Actions that cost money: all but those that were dropped. */
    public List<Action> keptActions() {
        return actions.stream()
                .filter(action -> action.state() != Action.State.DROPPED)
                .toList();
    }
}
