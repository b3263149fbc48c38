package app.tychon.core.model;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Optional;

/**
 * A row of the risk register: an event that may occur, what it does, and what would be done about it.
 *
 * @param category       levels parted by a slash, such as Authorities/Permits
 * @param probability    chance, 0 to 1, that it occurs in an iteration
 * @param recurrence     how often it strikes where it occurs; once where there is none
 * @param onlyIf         another risk it depends on
 * @param exclusiveGroup name of a group of which at most one occurs in an iteration
 */
@RecordBuilder
public record Risk(
        String id,
        String title,
        Kind kind,
        State state,
        String category,
        String owner,
        double probability,
        List<Impact> impacts,
        Optional<Recurrence> recurrence,
        Optional<Condition> onlyIf,
        Optional<String> exclusiveGroup,
        Optional<Response> response)
        implements RiskBuilder.With {

    public Risk {
        impacts = List.copyOf(impacts);
    }

    public enum Kind {
        THREAT,
        OPPORTUNITY
    }

    public enum State {
        PROPOSED,
        /** The only state in which chance decides. */
        OPEN,
        CLOSED,
        /** It has happened, so it does in every iteration. */
        OCCURRED
    }

    /** Whether it takes part in a simulation at all. */
    public boolean isLive() {
        return state == State.OPEN || state == State.OCCURRED;
    }

    /** Whether it can occur in an iteration where another one did, or did not. */
    public record Condition(String risk, boolean occurs) {}
}
