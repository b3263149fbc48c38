package app.tychon.core.uncertainty.fitting;

import app.tychon.core.model.Shape;
import app.tychon.core.uncertainty.Distribution;
import app.tychon.core.uncertainty.Distributions;
import org.hipparchus.analysis.MultivariateFunction;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.NelderMeadSimplex;
import org.hipparchus.optim.nonlinear.scalar.noderiv.SimplexOptimizer;

/**
 * Maximum likelihood for shapes between two ends, by Nelder and Mead's simplex (1965) on the logarithms of how far the
 * ends lie beyond the observations. Observations rise.
 */
final class BoundedLikelihood {
    private static final int MOST_EVALUATIONS = 5000;
    private static final double RELATIVE = 1e-10;
    private static final double ABSOLUTE = 1e-9;

    private final double[] observed;
    private final double least;
    private final double most;
    private final double range;

    private BoundedLikelihood(double[] observed) {
        this.observed = observed;
        least = observed[0];
        most = observed[observed.length - 1];
        range = most - least;
    }

    /**
     * For given ends the likely value is one of the observations (Kotz and van Dorp, "Beyond Beta", 2004, chapter 1), so
     * only the ends are searched for.
     */
    static Shape triangular(double[] observed) {
        BoundedLikelihood fit = new BoundedLikelihood(observed);
        double[] best = fit.search(2, ends -> fit.bestLikely(fit.low(ends), fit.high(ends))[1]);
        double low = fit.low(best);
        double high = fit.high(best);
        return new Shape.Triangular(low, observed[(int) fit.bestLikely(low, high)[0]], high);
    }

    static Shape pert(double[] observed) {
        BoundedLikelihood fit = new BoundedLikelihood(observed);
        return fit.pertAt(fit.search(3, point -> fit.logLikelihood(fit.pertAt(point))));
    }

    private double low(double[] point) {
        return least - range * Math.exp(point[0]);
    }

    private double high(double[] point) {
        return most + range * Math.exp(point[1]);
    }

    private Shape pertAt(double[] point) {
        double low = low(point);
        double high = high(point);
        double part = 1 / (1 + Math.exp(-point[2]));
        return new Shape.Pert(low, low + (high - low) * part, high, Shape.Pert.USUAL_WEIGHT);
    }

    private double logLikelihood(Shape shape) {
        Distribution distribution = Distributions.of(shape, 1);
        double sum = 0;
        for (double x : observed) {
            sum += Math.log(distribution.density(x));
        }
        return finite(sum);
    }

    /** Index of the likely value and the log likelihood, for given ends. */
    private double[] bestLikely(double low, double high) {
        int n = observed.length;
        double[] fromLow = new double[n + 1];
        double toHigh = 0;
        for (int i = 0; i < n; i++) {
            fromLow[i + 1] = fromLow[i] + Math.log(observed[i] - low);
        }
        double[] best = {0, Double.NEGATIVE_INFINITY};
        for (int r = n - 1; r >= 0; r--) {
            double value =
                    fromLow[r] - r * Math.log(observed[r] - low) + toHigh - (n - 1 - r) * Math.log(high - observed[r]);
            if (value > best[1]) {
                best = new double[] {r, value};
            }
            toHigh += Math.log(high - observed[r]);
        }
        return new double[] {best[0], finite(best[1] + n * Math.log(2 / (high - low)))};
    }

    private static double finite(double value) {
        return Double.isNaN(value) ? -Double.MAX_VALUE : Math.max(-Double.MAX_VALUE, value);
    }

    private double[] search(int dimensions, MultivariateFunction likelihood) {
        double[] start = dimensions == 2 ? new double[] {-2, -2} : new double[] {-2, -2, 0};
        return new SimplexOptimizer(RELATIVE, ABSOLUTE)
                .optimize(
                        new MaxEval(MOST_EVALUATIONS),
                        new ObjectiveFunction(likelihood),
                        GoalType.MAXIMIZE,
                        new InitialGuess(start),
                        new NelderMeadSimplex(dimensions))
                .getPoint();
    }
}
