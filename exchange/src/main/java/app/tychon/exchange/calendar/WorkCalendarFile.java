package app.tychon.exchange.calendar;

import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.CalendarException;
import app.tychon.core.model.Shift;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.temporal.TemporalAdjusters;
import java.util.Locale;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.RRule;
import net.fortuna.ical4j.model.property.Transp;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.Version;

/**
 * Writes a working calendar as an iCalendar file: days off as all-day events, which {@link HolidayFile} reads back, and
 * the shifts of the week as events that repeat.
 */
public final class WorkCalendarFile {
    private WorkCalendarFile() {}

    /** @param from the day from which the week's shifts are shown */
    public static void write(CalendarDefinition calendar, LocalDate from, OutputStream out) throws IOException {
        Calendar file = new Calendar();
        file.add(new ProdId("-//Tychon//Working calendar//EN"));
        file.add(new Version((String) null, "2.0"));
        for (DayOfWeek day : DayOfWeek.values()) {
            for (Shift shift : calendar.shiftsOn(day)) {
                file.add(shift(calendar, day, shift, from));
            }
        }
        int number = 0;
        for (CalendarException exception : calendar.exceptions()) {
            if (exception.shifts().isEmpty()) {
                file.add(closure(calendar, exception, number++));
            } else {
                for (LocalDate day = exception.from(); !day.isAfter(exception.to()); day = day.plusDays(1)) {
                    for (Shift shift : exception.shifts()) {
                        VEvent event = hours(day, shift, exception.name());
                        event.add(new Uid(calendar.id() + "-hours-" + day + "-" + shift.from()));
                        file.add(event);
                    }
                }
            }
        }
        new CalendarOutputter(false).output(file, new OutputStreamWriter(out, StandardCharsets.UTF_8));
    }

    private static VEvent shift(CalendarDefinition calendar, DayOfWeek day, Shift shift, LocalDate from) {
        VEvent event = hours(from.with(TemporalAdjusters.nextOrSame(day)), shift, calendar.name());
        event.add(new RRule<LocalDateTime>("FREQ=WEEKLY"));
        event.add(new Uid(calendar.id() + "-" + day.name().toLowerCase(Locale.ROOT) + "-" + shift.from()));
        return event;
    }

    private static VEvent hours(LocalDate day, Shift shift, String name) {
        LocalDateTime midnight = day.atStartOfDay();
        VEvent event = new VEvent(midnight.plusMinutes(shift.from()), midnight.plusMinutes(shift.to()), name);
        event.add(new Transp(Transp.VALUE_TRANSPARENT));
        return stamped(event, day);
    }

    private static VEvent closure(CalendarDefinition calendar, CalendarException closed, int number) {
        VEvent event = new VEvent(closed.from(), closed.to().plusDays(1), closed.name());
        event.add(new Uid(calendar.id() + "-closed-" + number));
        return stamped(event, closed.from());
    }

    /** The stamp is that of the day itself, so that the same calendar is the same file. */
    private static VEvent stamped(VEvent event, LocalDate day) {
        event.getProperty(Property.DTSTAMP).ifPresent(event::remove);
        event.add(new DtStamp(day.atStartOfDay().toInstant(ZoneOffset.UTC)));
        return event;
    }
}
