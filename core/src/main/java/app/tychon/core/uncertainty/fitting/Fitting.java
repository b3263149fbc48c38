package app.tychon.core.uncertainty.fitting;

import app.tychon.core.model.Shape;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/** Fits shapes to observed values by maximum likelihood and ranks them. */
public final class Fitting {
    /** Fewer observations than this say little about a shape. */
    public static final int FEW = 15;

    private static final int LEAST = 3;

    private Fitting() {}

    /** What work took as a ratio of what was planned. */
    public static double[] ratios(double[] planned, double[] actual) {
        if (planned.length != actual.length) {
            throw new IllegalArgumentException(
                    "there are " + planned.length + " planned values and " + actual.length + " actual ones");
        }
        double[] ratios = new double[planned.length];
        for (int i = 0; i < ratios.length; i++) {
            if (!(planned[i] > 0)) {
                throw new IllegalArgumentException(
                        "planned value " + (i + 1) + " must be above zero; it is " + planned[i]);
            }
            ratios[i] = actual[i] / planned[i];
        }
        return ratios;
    }

    /**
     * Every shape that can be fitted, the best by Akaike's criterion first. Lognormal, gamma and Weibull need values above
     * zero.
     *
     * @throws IllegalArgumentException for fewer than three values, values that are not finite or all the same
     */
    public static List<Fit> ranked(double[] observations) {
        double[] observed = observations.clone();
        Arrays.sort(observed);
        check(observed);
        List<Fit> fits = new ArrayList<>();
        fits.add(Fit.of(MaximumLikelihood.normal(observed), 2, observed));
        if (observed[0] > 0) {
            fits.add(Fit.of(MaximumLikelihood.lognormal(observed), 2, observed));
            fits.add(Fit.of(MaximumLikelihood.gamma(observed), 2, observed));
            fits.add(Fit.of(MaximumLikelihood.weibull(observed), 2, observed));
        }
        Shape triangular = BoundedLikelihood.triangular(observed);
        fits.add(Fit.of(triangular, 3, observed));
        fits.add(Fit.of(BoundedLikelihood.pert(observed), 3, observed));
        fits.sort(Comparator.comparingDouble(Fit::aic));
        return fits;
    }

    private static void check(double[] observed) {
        if (observed.length < LEAST) {
            throw new IllegalArgumentException("at least " + LEAST + " values are needed, not " + observed.length);
        }
        for (double value : observed) {
            if (!Double.isFinite(value)) {
                throw new IllegalArgumentException("every value must be a number; one is " + value);
            }
        }
        if (observed[0] == observed[observed.length - 1]) {
            throw new IllegalArgumentException("all values are the same, " + observed[0]);
        }
    }
}
