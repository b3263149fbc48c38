package app.tychon.core.uncertainty;

/** A probability distribution of one continuous (or certain) quantity. Values carry the caller's unit. */
public sealed interface Distribution
        permits FixedDistribution, UniformDistribution, TriangularDistribution, PertDistribution {

    /** Probability density at {@code x}, per unit of {@code x}; zero outside the support. */
    double density(double x);

    /** P(X ≤ x). */
    double cumulative(double x);

    /**
     * The value that is not exceeded with probability {@code p}.
     *
     * @param p from 0 to 1
     */
    double inverse(double p);

    double mean();

    double standardDeviation();

    /** Lower end of the support. */
    double low();

    /** Upper end of the support. */
    double high();
}
