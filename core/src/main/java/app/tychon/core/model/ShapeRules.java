package app.tychon.core.model;

import static app.tychon.core.model.EstimateRules.text;

import java.util.ArrayList;
import java.util.List;

/** What makes the parameters of a shape impossible. Pointers name the parameter, as {@code /low}. */
public final class ShapeRules {
    private static final double ROUNDING = 1e-6;
    /** Below it a tail is so long that its standard deviation means nothing. */
    private static final double LEAST_WEIBULL = 0.05;

    private final List<Problem> found = new ArrayList<>();

    private ShapeRules() {}

    /** What is wrong with a shape, parameter by parameter, with pointers such as {@code /low}. */
    public static List<Problem> problems(Shape shape) {
        ShapeRules rules = new ShapeRules();
        rules.check(shape);
        rules.size(shape);
        return rules.found;
    }

    /** Beyond this, what is calculated from the parameters would not be a number any more. */
    private void size(Shape shape) {
        if (shape instanceof Shape.Normal s) {
            bounded("mean", s.mean());
            bounded("sd", s.sd());
        } else if (shape instanceof Shape.Lognormal s) {
            bounded("mean", s.mean());
            bounded("sd", s.sd());
        } else if (shape instanceof Shape.Gamma s) {
            bounded("shapeParameter", s.shapeParameter());
            bounded("scale", s.scale());
        } else if (shape instanceof Shape.Exponential s) {
            bounded("mean", s.mean());
        } else if (shape instanceof Shape.Weibull s) {
            bounded("scale", s.scale());
            if (s.shapeParameter() > 0 && s.shapeParameter() < LEAST_WEIBULL) {
                add(
                        "shapeParameter",
                        "must be at least " + text(LEAST_WEIBULL) + "; this is " + text(s.shapeParameter()));
            }
        } else if (shape instanceof Shape.Truncated s) {
            size(s.whole());
        } else if (found.isEmpty()) {
            if (Math.abs(shape.high()) > Bounds.LARGEST_AMOUNT) {
                bounded(EstimateRules.highest(shape), shape.high());
            } else {
                bounded(EstimateRules.lowest(shape), shape.low());
            }
        }
    }

    private void bounded(String parameter, double value) {
        found.addAll(TextRules.number(
                parameter.startsWith("/") ? parameter : "/" + parameter, value, Bounds.LARGEST_AMOUNT));
    }

    private void check(Shape shape) {
        if (shape instanceof Shape.Uniform s) {
            rising("low", s.low(), "high", s.high());
        } else if (shape instanceof Shape.Triangular s) {
            threePoints(s.low(), s.likely(), s.high(), s.ends());
        } else if (shape instanceof Shape.Pert s) {
            threePoints(s.low(), s.likely(), s.high(), s.ends());
            if (!(s.weight() > 0 && s.weight() <= 1000)) {
                add("weight", "the weight must be above 0 and at most 1000; this is " + text(s.weight()));
            }
        } else if (shape instanceof Shape.Normal s) {
            above0("sd", s.sd());
        } else if (shape instanceof Shape.Lognormal s) {
            above0("mean", s.mean());
            above0("sd", s.sd());
        } else if (shape instanceof Shape.Beta s) {
            above0("alpha", s.alpha());
            above0("beta", s.beta());
            rising("low", s.low(), "high", s.high());
        } else if (shape instanceof Shape.Gamma s) {
            above0("shapeParameter", s.shapeParameter());
            above0("scale", s.scale());
        } else if (shape instanceof Shape.Exponential s) {
            above0("mean", s.mean());
        } else if (shape instanceof Shape.Weibull s) {
            above0("shapeParameter", s.shapeParameter());
            above0("scale", s.scale());
        } else if (shape instanceof Shape.Discrete s) {
            discrete(s);
        } else if (shape instanceof Shape.Cumulative s) {
            cumulative(s);
        } else if (shape instanceof Shape.Sample s && s.values().isEmpty()) {
            add("values", "there are no values");
        } else if (shape instanceof Shape.Truncated s) {
            check(s.whole());
            if (!(s.low() < s.high())) {
                add(
                        s.min().isPresent() ? "min" : "max",
                        "nothing is left between " + text(s.low()) + " and " + text(s.high()));
            }
        }
    }

    private void add(String parameter, String message) {
        found.add(new Problem("/" + parameter, message));
    }

    private void above0(String parameter, double value) {
        if (!(value > 0)) {
            add(parameter, "must be above 0; this is " + text(value));
        }
    }

    private void rising(String lowerName, double lower, String upperName, double upper) {
        if (lower > upper) {
            add(lowerName, lowerName + " " + text(lower) + " is above " + upperName + " " + text(upper));
        }
    }

    private void threePoints(double low, double likely, double high, Shape.Ends ends) {
        rising("low", low, "likely", likely);
        rising("likely", likely, "high", high);
        if (!(ends.lowAt() >= 0 && ends.lowAt() < 0.5)) {
            add("lowAt", "the chance of the low point lies from 0 to below 0.5; this is " + text(ends.lowAt()));
        }
        if (!(ends.highAt() > 0.5 && ends.highAt() <= 1)) {
            add("highAt", "the chance of the high point lies from above 0.5 to 1; this is " + text(ends.highAt()));
        }
        boolean percentiles = !ends.equals(Shape.Ends.LIMITS);
        if (percentiles && low < high && !(low < likely && likely < high)) {
            add("likely", "where the outer points are percentiles, the likely value must lie between them");
        }
    }

    private void discrete(Shape.Discrete shape) {
        double sum = shape.values().stream().mapToDouble(Shape.Point::chance).sum();
        for (int i = 0; i < shape.values().size(); i++) {
            if (shape.values().get(i).chance() < 0) {
                add(
                        "values/" + i + "/1",
                        "a probability cannot be below 0; this is "
                                + text(shape.values().get(i).chance()));
            }
        }
        if (Math.abs(sum - 1) > ROUNDING) {
            add("values", "the probabilities must add up to 1; they add up to " + text(sum));
        }
    }

    private void cumulative(Shape.Cumulative shape) {
        List<Shape.Point> points = shape.points();
        boolean whole = points.size() >= 2
                && points.get(0).chance() == 0
                && points.get(points.size() - 1).chance() == 1;
        if (!whole) {
            add("points", "at least two points are needed, the first at chance 0 and the last at chance 1");
        }
        for (int i = 1; i < points.size(); i++) {
            Shape.Point before = points.get(i - 1);
            Shape.Point here = points.get(i);
            if (here.value() <= before.value() || here.chance() < before.chance()) {
                add(
                        "points/" + i,
                        "values and chances must rise; " + text(here.value()) + " at " + text(here.chance())
                                + " follows " + text(before.value()) + " at " + text(before.chance()));
            }
        }
    }
}
