package app.tychon.exchange.schedule;

import app.tychon.core.model.Basis;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.EstimateRules;
import app.tychon.core.model.EstimateRules.Subject;
import app.tychon.core.model.Shape;
import app.tychon.core.model.WorkDuration;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiConsumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Estimates out of the cells low, likely, high and shape: in days or money, as percent of planned where all end in %, or in
 * other units of time where they say so.
 *
 * @param ends the chances of the outer points, as the headers have them
 */
public record ThreePoints(Shape.Ends ends) {
    private static final Pattern PERCENTILE = Pattern.compile(".*\\bp(\\d{1,2})\\b.*");

    /** Ends are percentiles where the headers of both say so, as P10 and P90. */
    public static ThreePoints of(List<String> header, Map<ScheduleColumn, Integer> columns) {
        OptionalDouble low = percentile(header, columns.get(ScheduleColumn.LOW));
        OptionalDouble high = percentile(header, columns.get(ScheduleColumn.HIGH));
        boolean both = low.isPresent() && high.isPresent() && low.getAsDouble() < 0.5 && high.getAsDouble() > 0.5;
        return new ThreePoints(both ? new Shape.Ends(low.getAsDouble(), high.getAsDouble()) : Shape.Ends.LIMITS);
    }

    private static OptionalDouble percentile(List<String> header, Integer column) {
        if (column == null) {
            return OptionalDouble.empty();
        }
        Matcher title = PERCENTILE.matcher(header.get(column).toLowerCase(Locale.ROOT));
        return title.matches() ? OptionalDouble.of(Integer.parseInt(title.group(1)) / 100.0) : OptionalDouble.empty();
    }

    /** @param calendar in which weeks and hours count as days; nothing for money */
    public Optional<Estimate> read(
            Subject subject,
            Optional<CalendarDefinition> calendar,
            String shape,
            String low,
            String likely,
            String high,
            BiConsumer<ScheduleColumn, String> problems) {
        if (low.isEmpty() && likely.isEmpty() && high.isEmpty()) {
            if (!shape.isEmpty() && !shape.equalsIgnoreCase("fixed")) {
                problems.accept(ScheduleColumn.SHAPE, "a shape needs its low and high points");
            }
            return Optional.empty();
        }
        boolean percent = low.endsWith("%") || high.endsWith("%");
        double unit = percent ? 100 : 1;
        OptionalDouble from = number(low, calendar, ScheduleColumn.LOW, problems);
        OptionalDouble to = number(high, calendar, ScheduleColumn.HIGH, problems);
        OptionalDouble mode =
                likely.isEmpty() ? OptionalDouble.empty() : number(likely, calendar, ScheduleColumn.LIKELY, problems);
        if (from.isEmpty() || to.isEmpty()) {
            return Optional.empty();
        }
        double a = from.getAsDouble() / unit;
        double b = to.getAsDouble() / unit;
        double m = mode.orElse(0) / unit;
        String word = shape.isEmpty() ? (mode.isPresent() ? "triangular" : "uniform") : shape.toLowerCase(Locale.ROOT);
        if (mode.isEmpty() && !word.equals("uniform")) {
            problems.accept(ScheduleColumn.LIKELY, "a " + word + " estimate needs a likely value");
            return Optional.empty();
        }
        Optional<Shape> made =
                switch (word) {
                    case "triangular" -> Optional.of(new Shape.Triangular(a, m, b, ends));
                    case "pert" -> Optional.of(new Shape.Pert(a, m, b, Shape.Pert.USUAL_WEIGHT, ends));
                    case "uniform" -> Optional.of(new Shape.Uniform(a, b));
                    default -> {
                        problems.accept(
                                ScheduleColumn.SHAPE,
                                "\"" + shape + "\" is no shape of three points; use triangular, pert or uniform");
                        yield Optional.empty();
                    }
                };
        Optional<Estimate> estimate = made.map(
                s -> new Estimate(s, percent ? Basis.FACTOR : subject == Subject.COST ? Basis.MONEY : Basis.DAYS));
        estimate.ifPresent(
                e -> EstimateRules.problems(e, subject).forEach(p -> problems.accept(ScheduleColumn.LOW, p.message())));
        return estimate;
    }

    private static OptionalDouble number(
            String text,
            Optional<CalendarDefinition> calendar,
            ScheduleColumn column,
            BiConsumer<ScheduleColumn, String> problems) {
        OptionalDouble amount = amount(text);
        Optional<WorkDuration> length = calendar.isPresent() ? DurationWords.read(text) : Optional.empty();
        if (amount.isEmpty() && length.isPresent()) {
            double day = (length.get().isElapsed() ? 24 : calendar.get().hoursPerDay()) * 60;
            return OptionalDouble.of(length.get().minutes(calendar.get()) / day);
        }
        if (amount.isEmpty()) {
            problems.accept(column, text.isEmpty() ? "the value is missing" : "\"" + text + "\" is no number");
        }
        return amount;
    }

    /** A bare number, or one of days or percent. */
    static OptionalDouble amount(String text) {
        String digits =
                text.replaceAll("(?i)\\s*(%|d|days?)$", "").replace(',', '.').strip();
        return digits.matches("[+-]?(\\d{1,15}(\\.\\d{0,15})?|\\.\\d{1,15})")
                ? OptionalDouble.of(Double.parseDouble(digits))
                : OptionalDouble.empty();
    }
}
