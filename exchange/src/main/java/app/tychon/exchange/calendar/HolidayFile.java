package app.tychon.exchange.calendar;

import app.tychon.core.model.CalendarException;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.time.LocalDate;
import java.time.temporal.Temporal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.Period;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.DtStart;

/** Reads the days off out of iCalendar files: their all-day events, repeated ones once for each year. */
public final class HolidayFile {
    /** Largest file that is read, in bytes. */
    public static final int LARGEST = 5_000_000;

    private static final int LONGEST_NAME = 500;

    private HolidayFile() {}

    /**
     * Reads the closures that lie between two days; the stream is not closed.
     *
     * @throws UnreadableCalendarException for what is no iCalendar file, or has no days off in that time
     */
    public static List<CalendarException> read(InputStream in, LocalDate from, LocalDate to)
            throws IOException, UnreadableCalendarException {
        byte[] bytes = in.readNBytes(LARGEST + 1);
        if (bytes.length > LARGEST) {
            throw new UnreadableCalendarException(
                    "The file has more than " + LARGEST / 1_000_000 + " MB; a calendar of holidays has far less.");
        }
        List<CalendarException> closures = new ArrayList<>();
        for (Component component : parse(bytes).getComponents(Component.VEVENT)) {
            if (component instanceof VEvent event) {
                closures.addAll(closures(event, from, to));
            }
        }
        if (closures.isEmpty()) {
            throw new UnreadableCalendarException("The file has no all-day event between " + from + " and " + to
                    + "; events with hours are meetings, not days off.");
        }
        closures.sort(Comparator.comparing(CalendarException::from));
        return closures.stream().distinct().toList();
    }

    private static Calendar parse(byte[] bytes) throws IOException, UnreadableCalendarException {
        try {
            return new CalendarBuilder().build(new ByteArrayInputStream(bytes));
        } catch (ParserException | RuntimeException e) {
            throw new UnreadableCalendarException("The file is no sound iCalendar file; its name should end in .ics.");
        }
    }

    private static List<CalendarException> closures(VEvent event, LocalDate from, LocalDate to)
            throws UnreadableCalendarException {
        DtStart<Temporal> start = event.getDateTimeStart();
        if (start == null || !(start.getDate() instanceof LocalDate)) {
            return List.of();
        }
        String title =
                event.getSummary() == null ? "" : event.getSummary().getValue().strip();
        String name = title.length() > LONGEST_NAME ? title.substring(0, LONGEST_NAME) : title;
        List<CalendarException> closures = new ArrayList<>();
        try {
            for (Period<LocalDate> period :
                    event.<LocalDate>calculateRecurrenceSet(new Period<>(from, to.plusDays(1)))) {
                LocalDate first = period.getStart();
                // The end of an all-day event is the morning after it.
                LocalDate last =
                        period.getEnd().isAfter(first) ? period.getEnd().minusDays(1) : first;
                if (!last.isBefore(from) && !first.isAfter(to)) {
                    closures.add(new CalendarException(first, last, name, List.of()));
                }
            }
        } catch (RuntimeException e) {
            // The library throws what its parts throw, whatever the event asks of them.
            throw new UnreadableCalendarException("The event \"" + name
                    + "\" begins on a day, but how long it lasts or how it" + " is repeated cannot be told in days.");
        }
        return closures;
    }
}
