package app.tychon.core.model;

import java.math.BigDecimal;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A length of time as its author wrote it: {@code 12d}, {@code 4h}, {@code 1.5w}, {@code 30min}, {@code 3ed}.
 *
 * @param amount how many of the unit; negative only for leads (a lag below zero)
 * @param unit   what is counted
 */
public record WorkDuration(double amount, DurationUnit unit) {
    public static final WorkDuration ZERO = new WorkDuration(0, DurationUnit.DAYS);

    private static final Pattern FORM =
            Pattern.compile("\\s*([+-]?\\d{1,9}(?:\\.\\d{1,9})?)\\s*(min|h|d|w|ed)\\s*", Pattern.CASE_INSENSITIVE);

    public static WorkDuration days(double amount) {
        return new WorkDuration(amount, DurationUnit.DAYS);
    }

    /** Reads text such as {@code 12d}; empty where the text is no duration. */
    public static Optional<WorkDuration> parse(String text) {
        Matcher matcher = FORM.matcher(text);
        if (!matcher.matches()) {
            return Optional.empty();
        }
        double amount = Double.parseDouble(matcher.group(1));
        for (DurationUnit unit : DurationUnit.values()) {
            if (unit.suffix().equalsIgnoreCase(matcher.group(2))) {
                return Optional.of(new WorkDuration(amount, unit));
            }
        }
        return Optional.empty();
    }

    /** Minutes of working time (of clock time for {@link DurationUnit#ELAPSED_DAYS}) at so many hours a day. */
    public double minutes(CalendarDefinition calendar) {
        double hoursPerDay = calendar.hoursPerDay();
        return switch (unit) {
            case MINUTES -> amount;
            case HOURS -> amount * 60;
            case DAYS -> amount * hoursPerDay * 60;
            case WEEKS -> amount * calendar.hoursPerWeek() * 60;
            case ELAPSED_DAYS -> amount * 24 * 60;
        };
    }

    /** Minutes where every minute of the clock counts: 24 hours to a day, seven days to a week. */
    public double clockMinutes() {
        return switch (unit) {
            case MINUTES -> amount;
            case HOURS -> amount * 60;
            case DAYS, ELAPSED_DAYS -> amount * 24 * 60;
            case WEEKS -> amount * 7 * 24 * 60;
        };
    }

    public boolean isElapsed() {
        return unit == DurationUnit.ELAPSED_DAYS;
    }

    /** The text that {@link #parse} reads back to the same value. */
    @Override
    public String toString() {
        return BigDecimal.valueOf(amount).stripTrailingZeros().toPlainString() + unit.suffix();
    }
}
