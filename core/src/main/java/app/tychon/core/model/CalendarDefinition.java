package app.tychon.core.model;

import java.time.DayOfWeek;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * A working calendar: a week of shifts and its dated exceptions. Where exceptions overlap, the later in the list holds.
 *
 * @param week shifts of each day of the week; a day that is absent is free
 * @param hoursPerDay what a day of duration stands for, in hours
 */
public record CalendarDefinition(
        String id,
        String name,
        double hoursPerDay,
        Map<DayOfWeek, List<Shift>> week,
        List<CalendarException> exceptions) {

    public CalendarDefinition {
        week = week.entrySet().stream()
                .filter(day -> !day.getValue().isEmpty())
                .collect(Collectors.toUnmodifiableMap(Map.Entry::getKey, day -> List.copyOf(day.getValue())));
        exceptions = List.copyOf(exceptions);
    }

    public List<Shift> shiftsOn(DayOfWeek day) {
        return week.getOrDefault(day, List.of());
    }

    /** What a week of duration stands for: the working hours of the ordinary week. */
    public double hoursPerWeek() {
        return week.values().stream()
                        .flatMap(List::stream)
                        .mapToInt(Shift::minutes)
                        .sum()
                / 60.0;
    }
}
