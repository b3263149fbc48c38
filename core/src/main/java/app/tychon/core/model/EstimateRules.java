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
        List<Problem> found = new ArrayList<>(shapeProblems(estimate.shape()));
        boolean money = estimate.basis() == Basis.MONEY;
        boolean time = estimate.basis() == Basis.DAYS || estimate.basis() == Basis.HOURS;
        if (subject == Subject.DURATION && money) {
            found.add(new Problem("/basis", "a duration is estimated in days, hours or as a factor, not in money"));
        }
        if (subject == Subject.COST && time) {
            found.add(new Problem("/basis", "a cost is estimated in money or as a factor, not in days or hours"));
        }
        double lowest = estimate.shape().low();
        if (subject == Subject.DURATION && lowest < 0) {
            found.add(new Problem(lowest(estimate), "a duration cannot be below zero; this is " + text(lowest)));
        }
        if (subject == Subject.DURATION && estimate.shape().high() > LONGEST_DAYS) {
            found.add(new Problem(
                    highest(estimate),
                    "a duration above " + text(LONGEST_DAYS) + " is not believable; this is "
                            + text(estimate.shape().high())));
        }
        return found;
    }

    private static List<Problem> shapeProblems(Shape shape) {
        List<Problem> found = new ArrayList<>();
        if (shape instanceof Shape.Uniform s) {
            order(found, "/low", "low", s.low(), "high", s.high());
        } else if (shape instanceof Shape.Triangular s) {
            order(found, "/low", "low", s.low(), "likely", s.likely());
            order(found, "/likely", "likely", s.likely(), "high", s.high());
        } else if (shape instanceof Shape.Pert s) {
            order(found, "/low", "low", s.low(), "likely", s.likely());
            order(found, "/likely", "likely", s.likely(), "high", s.high());
            if (!(s.weight() > 0 && s.weight() <= 1000)) {
                found.add(new Problem(
                        "/weight", "the weight must be above 0 and at most 1000; this is " + text(s.weight())));
            }
        }
        return found;
    }

    private static void order(
            List<Problem> found, String pointer, String lowerName, double lower, String upperName, double upper) {
        if (lower > upper) {
            found.add(
                    new Problem(pointer, lowerName + " " + text(lower) + " is above " + upperName + " " + text(upper)));
        }
    }

    private static String lowest(Estimate estimate) {
        return estimate.shape() instanceof Shape.Fixed ? "/value" : "/low";
    }

    private static String highest(Estimate estimate) {
        return estimate.shape() instanceof Shape.Fixed ? "/value" : "/high";
    }

    /** A number as a person would write it. */
    static String text(double value) {
        return new BigDecimal(value)
                .round(new MathContext(12))
                .stripTrailingZeros()
                .toPlainString();
    }
}
