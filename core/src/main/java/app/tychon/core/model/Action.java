package app.tychon.core.model;

import java.time.LocalDate;
import java.util.Optional;

/**
 * Something done about a risk.
 *
 * @param cost     money, spent evenly from start to finish
 * @param start    first day
 * @param finish   last day
 * @param progress share of it that is done, 0 to 1
 * @param done     the day on which it was done, where that is another than planned
 */
public record Action(
        String name,
        double cost,
        LocalDate start,
        LocalDate finish,
        String owner,
        State state,
        double progress,
        Optional<LocalDate> done) {
    public enum State {
        PLANNED,
        UNDER_WAY,
        DONE,
        DROPPED
    }

    /** An action of which no progress is told. */
    public Action(String name, double cost, LocalDate start, LocalDate finish, String owner, State state) {
        this(name, cost, start, finish, owner, state, 0, Optional.empty());
    }

    /** The day from which on what it was for is so: when it was done, or is planned to be. */
    public LocalDate effective() {
        return done.orElse(finish);
    }
}
