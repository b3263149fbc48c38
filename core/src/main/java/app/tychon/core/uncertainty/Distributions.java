package app.tychon.core.uncertainty;

import app.tychon.core.model.Shape;
import java.util.List;

/** From a shape with its parameters to the distribution of the quantity itself. */
public final class Distributions {
    private Distributions() {}

    /**
     * @param shape a shape that has passed the rules
     * @param scale what one unit of its parameters is worth in the unit wanted (480 for days of eight hours in minutes)
     * @return the distribution; a range without width gives a certain value
     */
    public static Distribution of(Shape shape, double scale) {
        if (shape.low() == shape.high()) {
            return FixedDistribution.of(shape.low() * scale);
        }
        if (shape instanceof Shape.Uniform s) {
            return UniformDistribution.of(s.low() * scale, s.high() * scale);
        }
        if (shape instanceof Shape.Triangular s) {
            double likely = s.likely() * scale;
            return s.ends().equals(Shape.Ends.LIMITS)
                    ? TriangularDistribution.of(s.low() * scale, likely, s.high() * scale)
                    : PercentileEnds.triangular(s.low() * scale, likely, s.high() * scale, s.ends());
        }
        if (shape instanceof Shape.Pert s) {
            double likely = s.likely() * scale;
            return s.ends().equals(Shape.Ends.LIMITS)
                    ? PertDistribution.of(s.low() * scale, likely, s.high() * scale, s.weight())
                    : PercentileEnds.pert(s.low() * scale, likely, s.high() * scale, s.weight(), s.ends());
        }
        if (shape instanceof Shape.Beta s) {
            return BetaDistribution.of(s.alpha(), s.beta(), s.low() * scale, s.high() * scale);
        }
        return shape instanceof Shape.Truncated s
                ? TruncatedDistribution.of(
                        of(s.whole(), scale),
                        s.min().orElse(Double.NEGATIVE_INFINITY) * scale,
                        s.max().orElse(Double.POSITIVE_INFINITY) * scale)
                : unboundedOrData(shape, scale);
    }

    private static Distribution unboundedOrData(Shape shape, double scale) {
        if (shape instanceof Shape.Normal s) {
            return NormalDistribution.of(s.mean() * scale, s.sd() * scale);
        }
        if (shape instanceof Shape.Lognormal s) {
            return LognormalDistribution.of(s.mean() * scale, s.sd() * scale);
        }
        if (shape instanceof Shape.Gamma s) {
            return GammaDistribution.of(s.shapeParameter(), s.scale() * scale);
        }
        if (shape instanceof Shape.Exponential s) {
            return WeibullDistribution.of(1, s.mean() * scale);
        }
        if (shape instanceof Shape.Weibull s) {
            return WeibullDistribution.of(s.shapeParameter(), s.scale() * scale);
        }
        if (shape instanceof Shape.Discrete s) {
            return DiscreteDistribution.of(values(s.values(), scale), chances(s.values()));
        }
        if (shape instanceof Shape.Cumulative s) {
            return CumulativeDistribution.of(values(s.points(), scale), chances(s.points()));
        }
        if (shape instanceof Shape.Sample s) {
            return DiscreteDistribution.ofData(
                    s.values().stream().mapToDouble(v -> v * scale).toArray());
        }
        throw new IllegalStateException("no distribution for " + shape);
    }

    /** The same for a duration, which is cut off at zero where the shape reaches below it. */
    public static Distribution ofDuration(Shape shape, double scale) {
        return TruncatedDistribution.of(of(shape, scale), 0, Double.POSITIVE_INFINITY);
    }

    private static double[] values(List<Shape.Point> points, double scale) {
        return points.stream().mapToDouble(p -> p.value() * scale).toArray();
    }

    private static double[] chances(List<Shape.Point> points) {
        return points.stream().mapToDouble(Shape.Point::chance).toArray();
    }
}
