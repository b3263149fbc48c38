package app.tychon.core.uncertainty.fitting;

import app.tychon.core.model.Shape;
import java.util.Arrays;
import org.hipparchus.special.Gamma;

/** Maximum likelihood for shapes without ends, or with an end at zero. Observations rise. */
final class MaximumLikelihood {
    private static final int MOST_STEPS = 200;
    private static final double SAME = 1e-13;

    private MaximumLikelihood() {}

    private static double mean(double[] values) {
        return Arrays.stream(values).sum() / values.length;
    }

    private static double variance(double[] values) {
        double mean = mean(values);
        return Arrays.stream(values).map(x -> (x - mean) * (x - mean)).sum() / values.length;
    }

    static Shape normal(double[] observed) {
        return new Shape.Normal(mean(observed), Math.sqrt(variance(observed)));
    }

    /** Normal in the logarithms. */
    static Shape lognormal(double[] observed) {
        double[] logs = Arrays.stream(observed).map(Math::log).toArray();
        double variance = variance(logs);
        double mean = Math.exp(mean(logs) + variance / 2);
        return new Shape.Lognormal(mean, mean * Math.sqrt(Math.expm1(variance)));
    }

    /** ln k − ψ(k) = ln x̄ − mean ln x by Newton's method from Minka's start (2002); scale x̄/k. */
    static Shape gamma(double[] observed) {
        double mean = mean(observed);
        double s = Math.log(mean) - mean(Arrays.stream(observed).map(Math::log).toArray());
        double k = (3 - s + Math.sqrt((s - 3) * (s - 3) + 24 * s)) / (12 * s);
        for (int step = 0; step < MOST_STEPS; step++) {
            double next = k - (Math.log(k) - Gamma.digamma(k) - s) / (1 / k - Gamma.trigamma(k));
            boolean settled = Math.abs(next - k) <= SAME * k;
            k = next;
            if (settled) {
                break;
            }
        }
        return new Shape.Gamma(k, mean / k);
    }

    /** Σ xᵏ ln x / Σ xᵏ − 1/k = mean ln x, whose left side rises with k, by bisection; scale (mean xᵏ)^(1/k). */
    static Shape weibull(double[] observed) {
        double largest = observed[observed.length - 1];
        double[] x = Arrays.stream(observed).map(v -> v / largest).toArray();
        double meanLog = mean(Arrays.stream(x).map(Math::log).toArray());
        double low = 1e-3;
        double high = 1;
        while (slope(x, high) < meanLog && high < 1e6) {
            high *= 2;
        }
        for (int step = 0; step < MOST_STEPS && high - low > SAME * high; step++) {
            double middle = (low + high) / 2;
            if (slope(x, middle) < meanLog) {
                low = middle;
            } else {
                high = middle;
            }
        }
        double k = (low + high) / 2;
        double scale = Math.pow(mean(Arrays.stream(x).map(v -> Math.pow(v, k)).toArray()), 1 / k);
        return new Shape.Weibull(k, scale * largest);
    }

    private static double slope(double[] x, double k) {
        double powers = 0;
        double weighted = 0;
        for (double value : x) {
            double power = Math.pow(value, k);
            powers += power;
            weighted += power * Math.log(value);
        }
        return weighted / powers - 1 / k;
    }
}
