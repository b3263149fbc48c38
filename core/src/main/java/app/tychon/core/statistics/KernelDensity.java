package app.tychon.core.statistics;

/**
 * A smooth density of a sample for drawing, on an even grid: Gaussian kernels with the bandwidth of Silverman, "Density
 * Estimation" (1986), eq. 3.31: 0.9 min(σ, IQR/1.34) n<sup>−1/5</sup>. O(grid × grid): values are binned to the grid
 * first, which moves none by more than half a step.
 *
 * @param low first grid point
 * @param step from one to the next
 * @param density per unit of the sample
 */
public record KernelDensity(double low, double step, double[] density) {

    /** @param points at least two */
    public static KernelDensity of(Sample sample, int points) {
        double bandwidth = bandwidth(sample);
        double low = sample.min() - 2 * bandwidth;
        double step = (sample.max() + 2 * bandwidth - low) / (points - 1);
        if (step == 0) {
            return new KernelDensity(low, 0, new double[] {0});
        }
        double[] weights = new double[points];
        for (double value : sample.sorted()) {
            weights[(int) Math.round((value - low) / step)] += 1.0 / sample.size();
        }
        double[] density = new double[points];
        for (int i = 0; i < points; i++) {
            for (int j = 0; j < points; j++) {
                double z = (i - j) * step / bandwidth;
                density[i] += weights[j] * Math.exp(-z * z / 2) / (bandwidth * Math.sqrt(2 * Math.PI));
            }
        }
        return new KernelDensity(low, step, density);
    }

    private static double bandwidth(Sample sample) {
        double quartiles = (sample.percentile(0.75) - sample.percentile(0.25)) / 1.34;
        double deviation = sample.standardDeviation();
        double spread = quartiles > 0 ? Math.min(deviation, quartiles) : deviation;
        return 0.9 * spread * Math.pow(sample.size(), -0.2);
    }

    /** The density at a value, linear between grid points; zero outside. */
    double at(double value) {
        double place = (value - low) / step;
        if (!(place >= 0 && place <= density.length - 1)) {
            return 0;
        }
        int below = Math.min((int) place, density.length - 2);
        return density[below] + (place - below) * (density[below + 1] - density[below]);
    }

    /** Where the density is highest. */
    public double mode() {
        int best = 0;
        for (int i = 1; i < density.length; i++) {
            best = density[i] > density[best] ? i : best;
        }
        return low + best * step;
    }
}
