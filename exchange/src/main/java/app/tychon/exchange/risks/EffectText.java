package app.tychon.exchange.risks;

import app.tychon.core.model.Basis;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Impact;
import app.tychon.core.model.Impact.Draw;
import app.tychon.core.model.Impact.Effect;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Shape;
import app.tychon.exchange.EstimateJson;
import app.tychon.exchange.JsonText;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Effects of a risk as people write them: {@code 10..25..60d on S20}, {@code 3..8% cost on K22},
 * {@code pert 25k..45k..110k on K32; 0.5..4d on E70, E90 each}. Three points are a triangle where nothing else is said, two
 * the ends of an even range, one is certain; what points cannot say is written as the shape of the project file.
 */
public final class EffectText {
    private static final Pattern FORM = Pattern.compile(
            "(?:(pert|triangular|uniform|certain)\\s+)?(\\{.*\\}|[^{}]*?)\\s*(time|cost|money)?\\s+on\\s+(.+?)(\\s+each)?",
            Pattern.CASE_INSENSITIVE | Pattern.DOTALL);
    private static final Pattern UNIT =
            Pattern.compile("(.*?)\\s*(%|d|days?|h|hours?)?", Pattern.CASE_INSENSITIVE | Pattern.DOTALL);
    private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

    private EffectText() {}

    /** Which column a text stands in, and so what it is about where it does not say. */
    public enum About {
        TIME,
        MONEY;

        public boolean holds(Impact impact) {
            return impact.effect().isOnTime() == (this == TIME);
        }
    }

    /**
     * Reads effects.
     *
     * @param target finds the id of what a text calls by its code or name; throws IllegalArgumentException where it does not
     * @throws IllegalArgumentException with the reason where a text is none
     */
    public static List<Impact> read(String text, About about, UnaryOperator<String> target) {
        List<Impact> impacts = new ArrayList<>();
        for (String part : text.split(";")) {
            if (!part.isBlank()) {
                impacts.add(one(part.strip(), about, target));
            }
        }
        return impacts;
    }

    private static Impact one(String text, About about, UnaryOperator<String> target) {
        Matcher form = FORM.matcher(text);
        if (!form.matches()) {
            throw new IllegalArgumentException(
                    text.matches("(?is).*\\bon\\s*")
                                    || Amounts.read(text.replaceAll("(?s)[.]{2}.*", ""))
                                            .isPresent()
                            ? "say what it strikes, such as \"" + text.replaceFirst("(?i)\\s+on\\s*$", "") + " on A10\""
                            : "an effect reads as \"10..25..60d on A10\" or \"3..8% cost on K22\", not \"" + text
                                    + "\"");
        }
        About what = form.group(3) == null ? about : form.group(3).equalsIgnoreCase("time") ? About.TIME : About.MONEY;
        Draw draw = form.group(5) == null ? Draw.SHARED : Draw.EACH;
        List<String> on = targets(form.group(4).strip(), target);
        String size = form.group(2).strip();
        if (size.startsWith("{")) {
            Estimate estimate = shape(size, what);
            return new Impact(on, effect(estimate.basis(), what), draw, estimate);
        }
        Matcher unit = UNIT.matcher(size);
        unit.matches();
        Basis basis = basis(Optional.ofNullable(unit.group(2)).orElse(""), unit.group(1), what);
        Estimate estimate = new Estimate(points(form.group(1), unit.group(1), basis, text), basis);
        return new Impact(on, effect(basis, what), draw, estimate);
    }

    private static Basis basis(String unit, String points, About what) {
        String word = unit.toLowerCase(Locale.ROOT);
        if (word.equals("%")) {
            return Basis.FACTOR;
        }
        if (word.startsWith("d")) {
            return Basis.DAYS;
        }
        if (word.startsWith("h")) {
            return Basis.HOURS;
        }
        boolean isMoney = what == About.MONEY || points.matches("(?is).*\\d\\s*[km]\\b.*");
        return isMoney ? Basis.MONEY : Basis.DAYS;
    }

    private static Effect effect(Basis basis, About what) {
        return switch (basis) {
            case DAYS, HOURS -> Effect.ADD_TIME;
            case MONEY -> Effect.ADD_COST;
            case FACTOR -> what == About.TIME ? Effect.SCALE_TIME : Effect.SCALE_COST;
        };
    }

    private static Estimate shape(String json, About what) {
        try {
            return JsonText.read(json, at -> EstimateJson.read(at, what == About.TIME ? Basis.DAYS : Basis.MONEY));
        } catch (InvalidPlanException e) {
            throw new IllegalArgumentException(e.problems().get(0).toString(), e);
        }
    }

    private static Shape points(String word, String text, Basis basis, String whole) {
        List<Double> points = Arrays.stream(text.split("\\.{2,}|\u2026|\\s+to\\s+|\u2013"))
                .map(point -> value(point, basis, whole))
                .toList();
        String shape = word == null ? "" : word.toLowerCase(Locale.ROOT);
        boolean rising = true;
        for (int i = 1; i < points.size(); i++) {
            rising &= points.get(i - 1) <= points.get(i);
        }
        if (!rising) {
            throw new IllegalArgumentException("the points go from low to high; these are " + text.strip());
        }
        return switch (points.size()) {
            case 1 -> new Shape.Fixed(points.get(0));
            case 2 -> new Shape.Uniform(points.get(0), points.get(1));
            case 3 ->
                shape.equals("pert")
                        ? new Shape.Pert(
                                points.get(0), points.get(1), points.get(2), Shape.Pert.USUAL_WEIGHT, Shape.Ends.LIMITS)
                        : new Shape.Triangular(points.get(0), points.get(1), points.get(2), Shape.Ends.LIMITS);
            default ->
                throw new IllegalArgumentException("an effect has one, two or three points, not " + text.strip());
        };
    }

    private static double value(String point, Basis basis, String whole) {
        BigDecimal value = Amounts.read(point)
                .orElseThrow(() -> new IllegalArgumentException("\"" + point.strip() + "\" in \"" + whole
                        + "\" is no number; an effect reads as \"10..25..60d on A10\""));
        return (basis == Basis.FACTOR ? value.divide(HUNDRED).add(BigDecimal.ONE) : value).doubleValue();
    }

    /** Names may hold commas, so that a whole text is tried first. */
    private static List<String> targets(String text, UnaryOperator<String> target) {
        if (text.contains(",")) {
            try {
                return List.of(target.apply(text));
            } catch (IllegalArgumentException severalOrNone) {
                return Arrays.stream(text.split(","))
                        .map(String::strip)
                        .filter(name -> !name.isEmpty())
                        .map(target)
                        .distinct()
                        .toList();
            }
        }
        return List.of(target.apply(text));
    }

    /** The effects of one kind, as they are read again. */
    public static String of(List<Impact> impacts, About about) {
        return impacts.stream().filter(about::holds).map(EffectText::of).collect(Collectors.joining("; "));
    }

    /** One effect, as it is read again in the column that it belongs to. */
    public static String of(Impact impact) {
        Basis basis = impact.distribution().basis();
        return size(impact.distribution()) + unit(impact, basis) + " on " + String.join(", ", impact.on())
                + (impact.draw() == Draw.EACH ? " each" : "");
    }

    private static String unit(Impact impact, Basis basis) {
        boolean isShape = size(impact.distribution()).startsWith("{");
        return isShape
                ? ""
                : switch (basis) {
                    case DAYS -> "d";
                    case HOURS -> "h";
                    case FACTOR -> "%";
                    case MONEY -> "";
                };
    }

    private static String size(Estimate estimate) {
        Shape shape = estimate.shape();
        Basis basis = estimate.basis();
        if (shape instanceof Shape.Triangular s && s.ends().equals(Shape.Ends.LIMITS)) {
            return points(basis, s.low(), s.likely(), s.high());
        }
        if (shape instanceof Shape.Pert s
                && s.ends().equals(Shape.Ends.LIMITS)
                && s.weight() == Shape.Pert.USUAL_WEIGHT) {
            return "pert " + points(basis, s.low(), s.likely(), s.high());
        }
        if (shape instanceof Shape.Uniform s) {
            return points(basis, s.low(), s.high());
        }
        if (shape instanceof Shape.Fixed s) {
            return points(basis, s.value());
        }
        return JsonText.of(EstimateJson.write(estimate));
    }

    private static String points(Basis basis, double... values) {
        return Arrays.stream(values)
                .mapToObj(value -> switch (basis) {
                    case FACTOR ->
                        Amounts.text(BigDecimal.valueOf(value)
                                .subtract(BigDecimal.ONE)
                                .multiply(HUNDRED));
                    case MONEY -> Amounts.money(value);
                    default -> Amounts.text(value);
                })
                .collect(Collectors.joining(".."));
    }
}
