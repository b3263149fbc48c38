package app.tychon.core.uncertainty;

import java.util.Random;

/** Points that show what a rank correlation means: pairs of chances, 0 to 1, under a Gaussian copula. */
public final class CorrelatedPoints {
    private static final long ALWAYS_THE_SAME = 20270301;

    private CorrelatedPoints() {}

    /**
     * Always the same points for the same coefficient; for others they move only as far as they must.
     *
     * @param rank Spearman's coefficient, -1 to 1
     * @return {@code count} pairs
     * @throws IllegalArgumentException for a coefficient beyond that
     */
    public static double[][] of(double rank, int count) {
        if (!(rank >= -1 && rank <= 1)) {
            throw new IllegalArgumentException("a coefficient lies between -1 and 1; this is " + rank);
        }
        double normal = RankCorrelation.toNormal(rank);
        double rest = Math.sqrt(Math.max(0, 1 - normal * normal));
        NormalDistribution standard = NormalDistribution.of(0, 1);
        Random random = new Random(ALWAYS_THE_SAME);
        double[][] points = new double[count][2];
        for (double[] point : points) {
            double first = random.nextGaussian();
            double second = normal * first + rest * random.nextGaussian();
            point[0] = standard.cumulative(first);
            point[1] = standard.cumulative(second);
        }
        return points;
    }
}
