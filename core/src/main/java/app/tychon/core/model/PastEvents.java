package app.tychon.core.model;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * How often something has happened, and how much it took each time.
 *
 * @param years  how long was looked at
 * @param count  how often it happened in that time
 * @param unit   days or money, in which amounts are counted
 * @param mean   of the amounts, where single events are not known
 * @param sd     their standard deviation, likewise
 * @param events the single events, where they are known
 */
public record PastEvents(double years, int count, Basis unit, double mean, double sd, List<Event> events) {
    public PastEvents {
        events = List.copyOf(events);
    }

    /** @param on the day, where that is known */
    public record Event(Optional<LocalDate> on, double amount) {}

    /** Times a year, as it was seen. */
    public double rate() {
        return count / years;
    }
}
