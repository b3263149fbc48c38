package app.tychon.core.uncertainty;

/** A probability distribution of one continuous (or certain) quantity. Values carry the caller's unit. */
public sealed interface Distribution
        permits FixedDistribution,
                UniformDistribution,
                TriangularDistribution,
                BetaDistribution,
                NormalDistribution,
                LognormalDistribution,
                GammaDistribution,
                WeibullDistribution,
                DiscreteDistribution,
                CumulativeDistribution,
                TruncatedDistribution {

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

    /** Turns the first {@code count} chances, each between 0 and 1, into values, in place. */
    default void inverse(double[] chances, int count) {
        for (int k = 0; k < count; k++) {
            chances[k] = inverse(chances[k]);
        }
    }

    double mean();

    double standardDeviation();

    /** Whether {@link #inverse} is worth a table when it is asked often; then the density is continuous and above zero. */
    default boolean hasCostlyInverse() {
        return false;
    }

    /** Lower end of the support; minus infinity where there is none. */
    double low();

    /** Upper end of the support; infinity where there is none. */
    double high();
}
