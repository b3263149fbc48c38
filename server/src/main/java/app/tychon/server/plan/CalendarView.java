package app.tychon.server.plan;

import java.time.LocalDate;
import java.util.List;

/**
 * A working calendar with the days on which it is closed beyond its ordinary week.
 *
 * @param freeWeekdays days of the week on which nobody works, 1 for Monday to 7 for Sunday
 */
public record CalendarView(
        String id, String name, double hoursPerDay, List<Integer> freeWeekdays, List<Closure> closures) {
    /** Closed from the first to the last day, both inclusive. */
    record Closure(LocalDate from, LocalDate to, String name) {}
}
