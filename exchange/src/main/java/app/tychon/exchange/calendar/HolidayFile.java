package app.tychon.exchange.calendar;

import app.tychon.core.model.CalendarException;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.temporal.Temporal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.Period;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.DtStart;

/** Reads the days off out of iCalendar files: their all-day events, repeated ones once for each year. */
public final class HolidayFile {
    /** Largest file that is read, in bytes. */
    public static final int LARGEST = 5_000_000;

    private static final int LONGEST_NAME = 500;
    private static final Pattern WITHIN_A_DAY =
            Pattern.compile("FREQ=(SECOND|MINUTE|HOUR)LY", Pattern.CASE_INSENSITIVE);

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
        for (EventText event : EventText.of(new String(bytes, StandardCharsets.UTF_8))) {
            closures.addAll(closures(event.civil(), from, to));
        }
        if (closures.isEmpty()) {
            throw new UnreadableCalendarException("The file has no all-day event between " + from + " and " + to
                    + "; events with hours are meetings, not days off.");
        }
        closures.sort(Comparator.comparing(CalendarException::from));
        return closures.stream().distinct().toList();
    }

    private static List<CalendarException> closures(EventText text, LocalDate from, LocalDate to)
            throws UnreadableCalendarException {
        String name = called(text.value("SUMMARY").orElse(""));
        try {
            return closures(parse(text), from, to);
        } catch (IOException | ParserException | RuntimeException e) {
            // The library throws what its parts throw, whatever the event asks of them.
            throw new UnreadableCalendarException("The event " + (name.isBlank() ? "" : "\"" + name + "\" ")
                    + "at line " + text.line()
                    + " cannot be read: look at when it begins, how long it lasts and how it is repeated.");
        }
    }

    private static String called(String title) {
        return title.length() > LONGEST_NAME ? title.substring(0, LONGEST_NAME) : title;
    }

    private static Optional<VEvent> parse(EventText text) throws IOException, ParserException {
        return new CalendarBuilder()
                .build(new StringReader(text.asCalendar())).getComponents(Component.VEVENT).stream()
                        .filter(VEvent.class::isInstance)
                        .map(VEvent.class::cast)
                        .findFirst();
    }

    private static List<CalendarException> closures(Optional<VEvent> found, LocalDate from, LocalDate to) {
        Optional<DtStart<Temporal>> start = found.map(VEvent::getDateTimeStart);
        if (start.isEmpty() || !(start.get().getDate() instanceof LocalDate)) {
            return List.of();
        }
        VEvent event = found.get();
        refuseRepeatsWithinADay(event);
        String name = event.getSummary() == null
                ? ""
                : called(event.getSummary().getValue().strip());
        List<CalendarException> closures = new ArrayList<>();
        for (Period<LocalDate> period : event.<LocalDate>calculateRecurrenceSet(new Period<>(from, to.plusDays(1)))) {
            LocalDate first = period.getStart();
            // The end of an all-day event is the morning after it.
            LocalDate last = period.getEnd().isAfter(first) ? period.getEnd().minusDays(1) : first;
            if (!last.isBefore(from) && !first.isAfter(to)) {
                closures.add(new CalendarException(first, last, name, List.of()));
            }
        }
        return closures;
    }

    private static void refuseRepeatsWithinADay(VEvent event) {
        event.getProperty(Property.RRULE)
                .map(Object::toString)
                .filter(WITHIN_A_DAY.asPredicate())
                .ifPresent(rule -> {
                    throw new IllegalArgumentException(rule);
                });
    }
}
