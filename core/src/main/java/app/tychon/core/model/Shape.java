package app.tychon.core.model;

/** The shape of an uncertain quantity with its parameters, in the unit of the {@link Basis} it is used with. */
public sealed interface Shape {
    /** The least value it can take. */
    double low();

    /** The greatest value it can take. */
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

    record Uniform(double low, double high) implements Shape {}

    record Triangular(double low, double likely, double high) implements Shape {}

    /**
     * @param weight how much the likely value counts against the ends; {@value #USUAL_WEIGHT} is the usual choice
     */
    record Pert(double low, double likely, double high, double weight) implements Shape {
        public static final double USUAL_WEIGHT = 4;
    }
}
