package app.tychon.core.model;

import java.util.List;
import java.util.OptionalDouble;

/** The shape of an uncertain quantity with its parameters, in the unit of the {@link Basis} it is used with. */
public sealed interface Shape {
    /** The lowest value its author gave, minus infinity where none bounds it. */
    double low();

    /** The highest value its author gave, infinity where none bounds it. */
    double high();

    record Fixed(double value) implements Shape {
        @Override
        public double low() {
            return value;
        }

        @Override
        public double high() {
            return value;
        }
    }

    /** Whether its word and its points, low, likely and high, say all of it. */
    default boolean isSaidByPoints() {
        return false;
    }

    record Uniform(double low, double high) implements Shape {
        @Override
        public boolean isSaidByPoints() {
            return true;
        }
    }

    /**
     * Chances at which the outer points of a three-point estimate stand: 0 and 1 where they are the ends, 0.1 and 0.9
     * where they are P10 and P90.
     */
    record Ends(double lowAt, double highAt) {
        public static final Ends LIMITS = new Ends(0, 1);
    }

    record Triangular(double low, double likely, double high, Ends ends) implements Shape {
        public Triangular(double low, double likely, double high) {
            this(low, likely, high, Ends.LIMITS);
        }

        @Override
        public boolean isSaidByPoints() {
            return ends.equals(Ends.LIMITS);
        }
    }

    /**
     * @param weight how much the likely value counts against the ends; {@value #USUAL_WEIGHT} is the usual choice
     */
    record Pert(double low, double likely, double high, double weight, Ends ends) implements Shape {
        public static final double USUAL_WEIGHT = 4;

        public Pert(double low, double likely, double high, double weight) {
            this(low, likely, high, weight, Ends.LIMITS);
        }

        @Override
        public boolean isSaidByPoints() {
            return ends.equals(Ends.LIMITS) && weight == USUAL_WEIGHT;
        }
    }

    record Normal(double mean, double sd) implements Shape {
        @Override
        public double low() {
            return Double.NEGATIVE_INFINITY;
        }

        @Override
        public double high() {
            return Double.POSITIVE_INFINITY;
        }
    }

    /** Unbounded above and never below zero. */
    sealed interface Positive extends Shape {
        @Override
        default double low() {
            return 0;
        }

        @Override
        default double high() {
            return Double.POSITIVE_INFINITY;
        }
    }

    /** Mean and standard deviation of the quantity itself, not of its logarithm. */
    record Lognormal(double mean, double sd) implements Positive {}

    record Beta(double alpha, double beta, double low, double high) implements Shape {}

    record Gamma(double shapeParameter, double scale) implements Positive {}

    record Exponential(double mean) implements Positive {}

    record Weibull(double shapeParameter, double scale) implements Positive {}

    /** A value with its probability, or with the chance of it or less. */
    record Point(double value, double chance) {}

    /** A few values with their probabilities, which add up to 1. */
    record Discrete(List<Point> values) implements Shape {
        public Discrete {
            values = List.copyOf(values);
        }

        @Override
        public double low() {
            return values.stream().mapToDouble(Point::value).min().orElse(0);
        }

        @Override
        public double high() {
            return values.stream().mapToDouble(Point::value).max().orElse(0);
        }
    }

    /** Points on the cumulative curve, values and chances rising, from chance 0 to chance 1. */
    record Cumulative(List<Point> points) implements Shape {
        public Cumulative {
            points = List.copyOf(points);
        }

        @Override
        public double low() {
            return points.isEmpty() ? 0 : points.get(0).value();
        }

        @Override
        public double high() {
            return points.isEmpty() ? 0 : points.get(points.size() - 1).value();
        }
    }

    /** Data as they are, each value as likely as any other. */
    record Sample(List<Double> values) implements Shape {
        public Sample {
            values = List.copyOf(values);
        }

        @Override
        public double low() {
            return values.stream().mapToDouble(v -> v).min().orElse(0);
        }

        @Override
        public double high() {
            return values.stream().mapToDouble(v -> v).max().orElse(0);
        }
    }

    /** A shape cut off below {@code min}, above {@code max}, or both; what is left takes all the chance. */
    record Truncated(Shape whole, OptionalDouble min, OptionalDouble max) implements Shape {
        @Override
        public double low() {
            return Math.max(whole.low(), min.orElse(Double.NEGATIVE_INFINITY));
        }

        @Override
        public double high() {
            return Math.min(whole.high(), max.orElse(Double.POSITIVE_INFINITY));
        }
    }
}
