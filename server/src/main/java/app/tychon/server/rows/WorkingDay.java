package app.tychon.server.rows;

import app.tychon.core.calendar.ExceptionDays;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Shift;
import app.tychon.exchange.JsonCursor;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;

/** From a day, as people type it, to an instant: the first or the last working hour of the day in a calendar. */
public final class WorkingDay {
    private static final int USUAL_START = 8 * 60;
    private static final int USUAL_END = 17 * 60;

    private WorkingDay() {}

    /** Reads a date, or a date and time, where a start is meant. */
    public static LocalDateTime start(JsonCursor at, CalendarDefinition calendar) {
        return at.isDate() ? at(at.date(), calendar, true) : at.dateTime();
    }

    /** Reads a date, or a date and time, where a finish is meant. */
    public static LocalDateTime finish(JsonCursor at, CalendarDefinition calendar) {
        return at.isDate() ? at(at.date(), calendar, false) : at.dateTime();
    }

    /** Where nobody works that day, a usual day's hours stand for it. */
    private static LocalDateTime at(LocalDate day, CalendarDefinition calendar, boolean start) {
        List<Shift> shifts = new ExceptionDays(calendar, day, day.plusDays(1)).shiftsOn(day);
        int minute = start
                ? shifts.stream().mapToInt(Shift::from).min().orElse(USUAL_START)
                : shifts.stream().mapToInt(Shift::to).max().orElse(USUAL_END);
        return day.atStartOfDay().plusMinutes(minute);
    }
}
