package app.tychon.core.model;

import java.time.LocalDate;

/**
 * Something done about a risk.
 *
 * @param cost   money, spent evenly from start to finish
 * @param start  first day
 * @param finish last day
 */
public record Action(String name, double cost, LocalDate start, LocalDate finish, String owner, State state) {
    public enum State {
        PLANNED,
        UNDER_WAY,
        DONE,
        DROPPED
    }
}
