package app.tychon.core.model;

import java.time.LocalDate;

/**
 * A part of a cost line that falls due at once.
 *
 * @param share of the line, 0 to 1
 */
public record Instalment(double share, Due due) {
    /** When a part falls due. */
    public sealed interface Due {}

    /** On a day, whatever the work does. */
    public record OnDay(LocalDate date) implements Due {}

    /**
     * When an activity, a hammock or a branch begins or ends.
     *
     * @param on its id
     */
    public record Reached(String on, End end) implements Due {}

    /** An end of what something stands on. */
    public enum End {
        START,
        FINISH
    }

    public static Instalment onDay(double share, LocalDate date) {
        return new Instalment(share, new OnDay(date));
    }

    public static Instalment at(double share, String on, End end) {
        return new Instalment(share, new Reached(on, end));
    }
}
