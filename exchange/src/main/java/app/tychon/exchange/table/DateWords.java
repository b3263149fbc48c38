package app.tychon.exchange.table;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Dates as tables have them, of one order: 2027-03-01, 1.3.2027, 3/1/27 08:00, Mon 1 Mar 27. */
public final class DateWords {
    /** Which number of 3/4/27 is the day. */
    public enum Order {
        DAY_FIRST,
        MONTH_FIRST
    }

    private static final List<String> MONTHS =
            List.of("jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec");
    private static final String TIME = "(?:[T\\s,]+(\\d{1,2}):(\\d{2})(?::\\d{2}(?:\\.\\d+)?)?\\s*([ap]m)?)?Z?";
    private static final String WEEKDAY = "(?:[a-z]{2,9}\\.?,?\\s+)?";
    private static final Pattern YEAR_FIRST =
            Pattern.compile(WEEKDAY + "(\\d{4})[-/.](\\d{1,2})[-/.](\\d{1,2})" + TIME, Pattern.CASE_INSENSITIVE);
    private static final Pattern NUMBERS = Pattern.compile(
            WEEKDAY + "(\\d{1,2})[-/. ](\\d{1,2})[-/. ](\\d{4}|\\d{2})" + TIME, Pattern.CASE_INSENSITIVE);
    private static final Pattern DAY_NAMED = Pattern.compile(
            WEEKDAY + "(\\d{1,2})\\.?[-/ ]+([a-z]{3,9})\\.?,?[-/ ]+'?(\\d{4}|\\d{2})" + TIME, Pattern.CASE_INSENSITIVE);
    private static final Pattern MONTH_NAMED = Pattern.compile(
            WEEKDAY + "([a-z]{3,9})\\.?[-/ ]+(\\d{1,2}),?[-/ ]+'?(\\d{4}|\\d{2})" + TIME, Pattern.CASE_INSENSITIVE);

    private final Order order;

    private DateWords(Order order) {
        this.order = order;
    }

    public static DateWords of(Order order) {
        return new DateWords(order);
    }

    /**
     * A day, with its time where that is said.
     *
     * @param timed whether a time was said; else it is midnight
     */
    public record Moment(LocalDateTime at, boolean timed) {
        public LocalDate day() {
            return at.toLocalDate();
        }
    }

    /** The order in which all of these are dates; day first where either would do, or neither. */
    public static Order order(List<String> texts) {
        boolean dayFirst = texts.stream().allMatch(text -> fits(text, Order.DAY_FIRST));
        boolean monthFirst = texts.stream().allMatch(text -> fits(text, Order.MONTH_FIRST));
        return !dayFirst && monthFirst ? Order.MONTH_FIRST : Order.DAY_FIRST;
    }

    private static boolean fits(String text, Order order) {
        return !NUMBERS.matcher(text.strip()).matches() || of(order).read(text).isPresent();
    }

    /** Reads a date; empty where the text is none. */
    public Optional<Moment> read(String text) {
        String date = text.strip();
        Matcher yearFirst = YEAR_FIRST.matcher(date);
        if (yearFirst.matches()) {
            return moment(yearFirst.group(1), number(yearFirst.group(2)), yearFirst.group(3), yearFirst);
        }
        Matcher numbers = NUMBERS.matcher(date);
        if (numbers.matches()) {
            boolean dayFirst = order == Order.DAY_FIRST;
            return moment(
                    numbers.group(3),
                    number(numbers.group(dayFirst ? 2 : 1)),
                    numbers.group(dayFirst ? 1 : 2),
                    numbers);
        }
        Matcher dayNamed = DAY_NAMED.matcher(date);
        if (dayNamed.matches()) {
            return moment(dayNamed.group(3), month(dayNamed.group(2)), dayNamed.group(1), dayNamed);
        }
        Matcher monthNamed = MONTH_NAMED.matcher(date);
        return monthNamed.matches()
                ? moment(monthNamed.group(3), month(monthNamed.group(1)), monthNamed.group(2), monthNamed)
                : Optional.empty();
    }

    private static int number(String digits) {
        return Integer.parseInt(digits);
    }

    private static int month(String name) {
        return 1 + MONTHS.indexOf(name.substring(0, 3).toLowerCase(Locale.ROOT));
    }

    private static Optional<Moment> moment(String year, int month, String day, Matcher found) {
        int whole = number(year) < 100 ? 2000 + number(year) : number(year);
        try {
            LocalDate date = LocalDate.of(whole, month, number(day));
            boolean timed = found.group(4) != null;
            return Optional.of(new Moment(timed ? date.atTime(time(found)) : date.atStartOfDay(), timed));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    private static LocalTime time(Matcher found) {
        int hour = number(found.group(4));
        if (found.group(6) != null) {
            hour = hour % 12 + (found.group(6).equalsIgnoreCase("pm") ? 12 : 0);
        }
        return LocalTime.of(hour, number(found.group(5)));
    }
}
