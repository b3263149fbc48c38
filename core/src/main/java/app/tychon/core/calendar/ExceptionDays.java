package app.tychon.core.calendar;

import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.CalendarException;
import app.tychon.core.model.Shift;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;

/** The shifts that really hold on each day of a range, exceptions considered. */
public final class ExceptionDays {
    private final CalendarDefinition calendar;
    private final LocalDate first;
    private final CalendarException[] exceptionOn;

    /**
     * @param first first day of the range
     * @param end   the day after its last
     */
    public ExceptionDays(CalendarDefinition calendar, LocalDate first, LocalDate end) {
        this.calendar = calendar;
        this.first = first;
        exceptionOn = new CalendarException[(int) ChronoUnit.DAYS.between(first, end)];
        for (CalendarException exception : calendar.exceptions()) {
            int from = Math.max(0, index(exception.from()));
            int to = Math.min(exceptionOn.length - 1, index(exception.to()));
            for (int i = from; i <= to; i++) {
                exceptionOn[i] = exception;
            }
        }
    }

    private int index(LocalDate day) {
        return (int) Math.max(-1, Math.min(Integer.MAX_VALUE, ChronoUnit.DAYS.between(first, day)));
    }

    /** The shifts of a day within the range; empty when nobody works. */
    public List<Shift> shiftsOn(LocalDate day) {
        CalendarException exception = exceptionOn[index(day)];
        return exception == null ? calendar.shiftsOn(day.getDayOfWeek()) : exception.shifts();
    }
}
