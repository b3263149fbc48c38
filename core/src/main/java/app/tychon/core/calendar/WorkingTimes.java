package app.tychon.core.calendar;

import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.CalendarException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Shift;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** Builds the time maps of a calendar definition. The definition must have passed the plan's rules. */
public final class WorkingTimes {
    private WorkingTimes() {}

    /**
     * @param around a date near which the calendar will mostly be asked, which makes that the fast part of the table
     */
    public static WorkingTime of(CalendarDefinition calendar, LocalDate around) {
        LocalDate first = around;
        LocalDate last = around.plusYears(4);
        for (CalendarException exception : calendar.exceptions()) {
            first = exception.from().isBefore(first) ? exception.from() : first;
            last = exception.to().isAfter(last) ? exception.to() : last;
        }
        // One ordinary week at either end is what repeats outside the table.
        LocalDate monday =
                first.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)).minusWeeks(1);
        LocalDate end = last.with(TemporalAdjusters.next(DayOfWeek.MONDAY)).plusWeeks(1);

        List<double[]> stretches = new ArrayList<>();
        ExceptionDays exceptions = new ExceptionDays(calendar, monday, end);
        for (LocalDate day = monday; day.isBefore(end); day = day.plusDays(1)) {
            double midnight = midnight(day);
            for (Shift shift : exceptions.shiftsOn(day)) {
                stretches.add(new double[] {midnight + shift.from(), midnight + shift.to()});
            }
        }
        return new WorkingTime(
                midnight(monday),
                midnight(end),
                stretches.stream().mapToDouble(s -> s[0]).toArray(),
                stretches.stream().mapToDouble(s -> s[1]).toArray(),
                calendar.hoursPerWeek() * 60);
    }

    /** The time map of a sound plan's project calendar. */
    public static WorkingTime ofProject(Plan plan) {
        return of(plan.projectCalendar(), plan.project().start().toLocalDate());
    }

    /** Time that never rests: every minute of the clock is worked. */
    public static WorkingTime clock(LocalDate around) {
        Map<DayOfWeek, List<Shift>> week = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            week.put(day, List.of(new Shift(0, Shift.DAY)));
        }
        return of(new CalendarDefinition("clock", "Clock", 24, week, List.of()), around);
    }

    private static double midnight(LocalDate day) {
        return day.toEpochDay() * (double) Instants.DAY;
    }
}
