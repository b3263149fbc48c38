package app.tychon.exchange.schedule;

import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Shift;
import java.time.DayOfWeek;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** The calendar of those who name none: Monday to Friday, 08:00 to 12:00 and 13:00 to 17:00. */
public final class PlainWeek {
    private static final double HOURS = 8;
    private static final List<Shift> DAY = List.of(new Shift(8 * 60, 12 * 60), new Shift(13 * 60, 17 * 60));

    private PlainWeek() {}

    public static CalendarDefinition of(String id, String name) {
        Map<DayOfWeek, List<Shift>> week = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            if (day != DayOfWeek.SATURDAY && day != DayOfWeek.SUNDAY) {
                week.put(day, DAY);
            }
        }
        return new CalendarDefinition(id, name, HOURS, week, List.of());
    }
}
