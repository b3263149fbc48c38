package app.tychon.core.model;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** What makes a calendar impossible to work in. Pointers are relative to the calendar. */
final class CalendarRules {
    /** Dates outside these years are slips of the keyboard; they also bound the time maps. */
    static final LocalDate EARLIEST = LocalDate.of(1900, 1, 1);

    static final LocalDate LATEST = LocalDate.of(2200, 12, 31);

    private CalendarRules() {}

    /** All calendars of a plan. */
    static void check(Plan plan, PlanNames names, Found found) {
        for (int i = 0; i < plan.calendars().size(); i++) {
            CalendarDefinition calendar = plan.calendars().get(i);
            found.addAll("/calendars/" + i, TextRules.name("/name", calendar.name()));
            found.addAll("/calendars/" + i, problems(calendar));
        }
    }

    static List<Problem> problems(CalendarDefinition calendar) {
        List<Problem> found = new ArrayList<>();
        if (!(calendar.hoursPerDay() > 0 && calendar.hoursPerDay() <= 24)) {
            found.add(new Problem(
                    "/hoursPerDay",
                    "hours per day must be above 0 and at most 24; this is "
                            + EstimateRules.text(calendar.hoursPerDay())));
        }
        for (DayOfWeek day : DayOfWeek.values()) {
            String name = day.name().substring(0, 3).toLowerCase(Locale.ROOT);
            shifts(found, "/week/" + name, calendar.shiftsOn(day));
        }
        if (calendar.hoursPerWeek() <= 0) {
            found.add(new Problem("/week", "the ordinary week has no working time, so no work would ever finish"));
        }
        for (int i = 0; i < calendar.exceptions().size(); i++) {
            exception(found, "/exceptions/" + i, calendar.exceptions().get(i));
        }
        return found;
    }

    private static void exception(List<Problem> found, String pointer, CalendarException exception) {
        if (exception.to().isBefore(exception.from())) {
            found.add(new Problem(
                    pointer + "/to", "ends on " + exception.to() + ", before it starts on " + exception.from()));
        }
        if (exception.from().isBefore(EARLIEST) || exception.to().isAfter(LATEST)) {
            found.add(new Problem(pointer + "/from", "dates must lie between " + EARLIEST + " and " + LATEST));
        }
        shifts(found, pointer + "/shifts", exception.shifts());
    }

    private static void shifts(List<Problem> found, String pointer, List<Shift> shifts) {
        int end = 0;
        for (int i = 0; i < shifts.size(); i++) {
            Shift shift = shifts.get(i);
            if (shift.to() <= shift.from()) {
                found.add(new Problem(pointer + "/" + i, "the shift ends before it starts"));
            } else if (shift.from() < end) {
                found.add(new Problem(pointer + "/" + i, "the shift starts before the one before it has ended"));
            }
            end = shift.to();
        }
    }
}
