package app.tychon.exchange.calendar;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * One event of an iCalendar file as it is written, its folded lines joined (RFC 5545, 3.1).
 *
 * @param line  where it begins in the file, counted from 1
 * @param lines from BEGIN:VEVENT to END:VEVENT
 */
record EventText(int line, List<String> lines) {
    private static final String BEGIN = "BEGIN:VEVENT";
    private static final String END = "END:VEVENT";
    private static final Pattern TIMED =
            Pattern.compile("(DTSTART|DTEND|EXDATE|RDATE|RECURRENCE-ID)([;:].*)", Pattern.DOTALL);
    /** A zone, by any name: plans know civil time alone, and so does what is read here. */
    private static final Pattern ZONE = Pattern.compile(";TZID=(\"[^\"]*\"|[^;:]*)", Pattern.CASE_INSENSITIVE);

    private static final Pattern MIDNIGHT = Pattern.compile("(\\d{8})T000000Z?");
    private static final Pattern DAYS = Pattern.compile("DURATION[^:]*:\\+?P\\d+[DW]", Pattern.CASE_INSENSITIVE);
    private static final Pattern UNTIL = Pattern.compile("UNTIL=(\\d{8})T\\d{6}Z?");

    /**
     * The events of a file.
     *
     * @throws UnreadableCalendarException where it is no iCalendar file, or ends in the middle
     */
    static List<EventText> of(String file) throws UnreadableCalendarException {
        List<String> lines = new ArrayList<>();
        List<Integer> numbers = new ArrayList<>();
        int number = 0;
        for (String line : file.replaceFirst("^\uFEFF", "").split("\r\n|\n|\r")) {
            number++;
            if (!lines.isEmpty() && (line.startsWith(" ") || line.startsWith("\t"))) {
                lines.set(lines.size() - 1, lines.get(lines.size() - 1) + line.substring(1));
            } else if (!line.isBlank()) {
                lines.add(line);
                numbers.add(number);
            }
        }
        if (lines.isEmpty() || !isLine(lines.get(0), "BEGIN:VCALENDAR")) {
            throw new UnreadableCalendarException("The file is no sound iCalendar file; its name should end in .ics.");
        }
        List<EventText> events = new ArrayList<>();
        int begin = -1;
        for (int i = 0; i < lines.size(); i++) {
            if (isLine(lines.get(i), BEGIN)) {
                begin = i;
            } else if (begin >= 0 && isLine(lines.get(i), END)) {
                events.add(new EventText(numbers.get(begin), List.copyOf(lines.subList(begin, i + 1))));
                begin = -1;
            }
        }
        if (begin >= 0 || !isLine(lines.get(lines.size() - 1), "END:VCALENDAR")) {
            throw new UnreadableCalendarException(
                    "The file ends in the middle, at line " + number + "; the last line should be END:VCALENDAR.");
        }
        return events;
    }

    private static boolean isLine(String line, String wanted) {
        return line.strip().equalsIgnoreCase(wanted);
    }

    /** The same in civil time; as days, where it lasts from midnight to midnight. */
    EventText civil() {
        List<String> civil = lines.stream().map(EventText::withoutZone).toList();
        boolean wholeDays = isAtMidnight(civil, "DTSTART")
                && (isAtMidnight(civil, "DTEND")
                        || civil.stream().anyMatch(one -> DAYS.matcher(one).matches()));
        return new EventText(
                line, wholeDays ? civil.stream().map(EventText::inDays).toList() : civil);
    }

    private static String withoutZone(String line) {
        Matcher timed = TIMED.matcher(line);
        return timed.matches() ? timed.group(1) + ZONE.matcher(timed.group(2)).replaceFirst("") : line;
    }

    private static boolean isAtMidnight(List<String> lines, String property) {
        return value(lines, property)
                .filter(value -> MIDNIGHT.matcher(value).matches())
                .isPresent();
    }

    private static String inDays(String line) {
        if (line.toUpperCase(Locale.ROOT).startsWith("RRULE")) {
            return UNTIL.matcher(line).replaceAll("UNTIL=$1");
        }
        Matcher timed = TIMED.matcher(line);
        int colon = line.indexOf(':');
        return timed.matches() && colon >= 0
                ? timed.group(1) + ";VALUE=DATE:"
                        + MIDNIGHT.matcher(line.substring(colon + 1)).replaceAll("$1")
                : line;
    }

    /** What stands behind the colon of a property, where it is there. */
    Optional<String> value(String property) {
        return value(lines, property);
    }

    private static Optional<String> value(List<String> lines, String property) {
        return lines.stream()
                .filter(line -> line.regionMatches(true, 0, property, 0, property.length())
                        && line.length() > property.length()
                        && ";:".indexOf(line.charAt(property.length())) >= 0
                        && line.indexOf(':') >= 0)
                .map(line -> line.substring(line.indexOf(':') + 1).strip())
                .findFirst();
    }

    /** A calendar of this event alone. */
    String asCalendar() {
        return lines.stream()
                .collect(Collectors.joining(
                        "\r\n", "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//y//EN\r\n", "\r\nEND:VCALENDAR\r\n"));
    }
}
