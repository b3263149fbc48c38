package app.tychon.core.model;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;

/** What makes an estimate impossible. Pointers name the parameter, as {@code /low}. */
public final class EstimateRules {
    /** What an estimate is of. A duration is never below zero; an amount of money may be. */
    public enum Subject {
        DURATION,
        COST
    }

    /** Longest duration that makes sense, in days: about 270 years of work. */
    public static final double LONGEST_DAYS = 100_000;

    private EstimateRules() {}

    public static List<Problem> problems(Estimate estimate, Subject subject) {
        List<Problem> found = new ArrayList<>(ShapeRules.problems(estimate.shape()));
        boolean money = estimate.basis() == Basis.MONEY;
        boolean time = estimate.basis() == Basis.DAYS || estimate.basis() == Basis.HOURS;
        if (subject == Subject.DURATION && money) {
            found.add(new Problem("/basis", "a duration is estimated in days, hours or as a factor, not in money"));
        }
        if (subject == Subject.COST && time) {
            found.add(new Problem("/basis", "a cost is estimated in money or as a factor, not in days or hours"));
        }
        if (subject == Subject.DURATION) {
            durationProblems(found, estimate.shape());
        }
        return found;
    }

    private static void durationProblems(List<Problem> found, Shape shape) {
        if (shape instanceof Shape.Normal normal && normal.mean() <= 0) {
            found.add(
                    new Problem("/mean", "the mean of a duration must be above zero; this is " + text(normal.mean())));
        } else if (Double.isFinite(shape.low()) && shape.low() < 0) {
            found.add(new Problem(lowest(shape), "a duration cannot be below zero; this is " + text(shape.low())));
        }
        if (Double.isFinite(shape.high()) && shape.high() > LONGEST_DAYS) {
            found.add(new Problem(
                    highest(shape),
                    "a duration above " + text(LONGEST_DAYS) + " is not believable; this is " + text(shape.high())));
        }
    }

    static String lowest(Shape shape) {
        return parameter(shape, "/low", "/min");
    }

    static String highest(Shape shape) {
        return parameter(shape, "/high", "/max");
    }

    private static String parameter(Shape shape, String end, String cut) {
        if (shape instanceof Shape.Fixed) {
            return "/value";
        }
        if (shape instanceof Shape.Discrete || shape instanceof Shape.Sample) {
            return "/values";
        }
        if (shape instanceof Shape.Truncated) {
            return cut;
        }
        return shape instanceof Shape.Cumulative ? "/points" : end;
    }

    /** A number as a person would write it. */
    static String text(double value) {
        return Double.isFinite(value)
                ? new BigDecimal(value)
                        .round(new MathContext(12))
                        .stripTrailingZeros()
                        .toPlainString()
                : "no bound";
    }
}
