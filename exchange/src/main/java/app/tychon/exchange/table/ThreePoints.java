package app.tychon.exchange.table;

import app.tychon.core.model.Basis;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.EstimateRules;
import app.tychon.core.model.EstimateRules.Subject;
import app.tychon.core.model.Shape;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiConsumer;

/** An estimate out of the cells low, likely, high and shape: in days or money, or as percent of planned where all end in %. */
final class ThreePoints {
    private ThreePoints() {}

    static Optional<Estimate> read(
            Subject subject,
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
        OptionalDouble from = number(low, ScheduleColumn.LOW, problems);
        OptionalDouble to = number(high, ScheduleColumn.HIGH, problems);
        OptionalDouble mode =
                likely.isEmpty() ? OptionalDouble.empty() : number(likely, ScheduleColumn.LIKELY, problems);
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
                    case "triangular" -> Optional.of(new Shape.Triangular(a, m, b));
                    case "pert" -> Optional.of(new Shape.Pert(a, m, b, Shape.Pert.USUAL_WEIGHT));
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
            String text, ScheduleColumn column, BiConsumer<ScheduleColumn, String> problems) {
        String digits =
                text.replaceAll("(?i)\\s*(%|d|days?)$", "").replace(',', '.').strip();
        try {
            return OptionalDouble.of(Double.parseDouble(digits));
        } catch (NumberFormatException e) {
            problems.accept(column, text.isEmpty() ? "the value is missing" : "\"" + text + "\" is no number");
            return OptionalDouble.empty();
        }
    }
}
