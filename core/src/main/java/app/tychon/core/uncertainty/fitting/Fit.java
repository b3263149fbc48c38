package app.tychon.core.uncertainty.fitting;

import app.tychon.core.model.Shape;
import app.tychon.core.uncertainty.Distribution;
import app.tychon.core.uncertainty.Distributions;
import java.util.Arrays;

/**
 * A shape fitted to observed values.
 *
 * @param logLikelihood   of the observations
 * @param parameters      how many were fitted
 * @param kolmogorovSmirnov largest distance between the observed and the fitted cumulative, 0 to 1
 * @param andersonDarling A², which weighs the tails
 */
public record Fit(Shape shape, double logLikelihood, int parameters, double kolmogorovSmirnov, double andersonDarling) {
    /** Keeps logarithms finite where the fit gives an observation next to no chance. */
    private static final double LEAST_CHANCE = 1e-300;

    /** @param observed rising */
    static Fit of(Shape shape, int parameters, double[] observed) {
        Distribution distribution = Distributions.of(shape, 1);
        double logLikelihood = Arrays.stream(observed)
                .map(x -> Math.log(Math.max(LEAST_CHANCE, distribution.density(x))))
                .sum();
        double[] cumulative =
                Arrays.stream(observed).map(distribution::cumulative).toArray();
        return new Fit(shape, logLikelihood, parameters, distance(cumulative), weighted(cumulative));
    }

    private static double distance(double[] cumulative) {
        int n = cumulative.length;
        double largest = 0;
        for (int i = 0; i < n; i++) {
            largest = Math.max(largest, Math.max(cumulative[i] - (double) i / n, (i + 1.0) / n - cumulative[i]));
        }
        return largest;
    }

    private static double weighted(double[] cumulative) {
        int n = cumulative.length;
        double sum = 0;
        for (int i = 0; i < n; i++) {
            double below = Math.log(Math.max(LEAST_CHANCE, cumulative[i]));
            double above = Math.log(Math.max(LEAST_CHANCE, 1 - cumulative[n - 1 - i]));
            sum += (2 * i + 1) * (below + above);
        }
        return -n - sum / n;
    }

    /** Akaike's information criterion, 2k − 2 ln L: the lower, the better. */
    public double aic() {
        return 2.0 * parameters - 2 * logLikelihood;
    }
}
