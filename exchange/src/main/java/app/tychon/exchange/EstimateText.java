package app.tychon.exchange;

import app.tychon.core.model.Basis;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Shape;
import java.util.Locale;

/** An estimate in words: "triangular 10 to 12 to 20 days", "PERT 90 % to 100 % to 140 %". */
public final class EstimateText {
    private EstimateText() {}

    public static String of(Estimate estimate) {
        return of(estimate.shape(), estimate.basis());
    }

    public static String of(Shape shape, Basis basis) {
        if (shape instanceof Shape.Fixed s) {
            return "certain, " + value(s.value(), basis) + unit(basis);
        }
        if (shape instanceof Shape.Triangular s) {
            return "triangular " + points(basis, s.low(), s.likely(), s.high()) + ends(s.ends());
        }
        if (shape instanceof Shape.Pert s) {
            return "PERT " + points(basis, s.low(), s.likely(), s.high()) + ends(s.ends());
        }
        if (shape instanceof Shape.Uniform s) {
            return "uniform " + points(basis, s.low(), s.high());
        }
        if (shape instanceof Shape.Normal s) {
            return "normal, mean " + value(s.mean(), basis) + ", deviation " + value(s.sd(), basis) + unit(basis);
        }
        if (shape instanceof Shape.Lognormal s) {
            return "lognormal, mean " + value(s.mean(), basis) + ", deviation " + value(s.sd(), basis) + unit(basis);
        }
        if (shape instanceof Shape.Truncated s) {
            StringBuilder text = new StringBuilder(of(s.whole(), basis));
            s.min().ifPresent(min -> text.append(", not below ").append(value(min, basis)));
            s.max().ifPresent(max -> text.append(", not above ").append(value(max, basis)));
            return text.toString();
        }
        if (shape instanceof Shape.Sample s) {
            return "data, " + s.values().size() + " values";
        }
        if (shape instanceof Shape.Cumulative s) {
            return "a curve of " + s.points().size() + " points";
        }
        if (shape instanceof Shape.Discrete s) {
            return s.values().size() + " values with their chances";
        }
        return shape.getClass().getSimpleName().toLowerCase(Locale.ROOT);
    }

    private static String points(Basis basis, double... points) {
        StringBuilder text = new StringBuilder();
        for (double point : points) {
            text.append(text.isEmpty() ? "" : " to ").append(value(point, basis));
        }
        return text + unit(basis);
    }

    private static String value(double value, Basis basis) {
        return basis == Basis.FACTOR ? Numbers.text(100 * value) + " %" : Numbers.text(value);
    }

    private static String unit(Basis basis) {
        return switch (basis) {
            case DAYS -> " days";
            case HOURS -> " hours";
            default -> "";
        };
    }

    private static String ends(Shape.Ends ends) {
        return ends.equals(Shape.Ends.LIMITS)
                ? ""
                : " (P" + Numbers.text(100 * ends.lowAt()) + " and P" + Numbers.text(100 * ends.highAt()) + ")";
    }
}
