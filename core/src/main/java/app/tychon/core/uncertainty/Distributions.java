package app.tychon.core.uncertainty;

import app.tychon.core.model.Shape;

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
        double low = shape.low() * scale;
        double high = shape.high() * scale;
        if (shape instanceof Shape.Uniform) {
            return UniformDistribution.of(low, high);
        }
        if (shape instanceof Shape.Triangular s) {
            return TriangularDistribution.of(low, s.likely() * scale, high);
        }
        if (shape instanceof Shape.Pert s) {
            return PertDistribution.of(low, s.likely() * scale, high, s.weight());
        }
        throw new IllegalStateException("no distribution for " + shape);
    }
}
