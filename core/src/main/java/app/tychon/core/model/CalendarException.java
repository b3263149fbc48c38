package app.tychon.core.model;

import java.time.LocalDate;
import java.util.List;

/**
 * Days on which other shifts hold than in the ordinary week; no shifts means closed.
 *
 * @param from first day, inclusive
 * @param to   last day, inclusive
 */
public record CalendarException(LocalDate from, LocalDate to, String name, List<Shift> shifts) {
    public CalendarException {
        shifts = List.copyOf(shifts);
    }
}
