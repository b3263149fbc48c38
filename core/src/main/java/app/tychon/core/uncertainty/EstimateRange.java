package app.tychon.core.uncertainty;

import java.util.OptionalDouble;

/**
 * How an estimate spreads, for people to look at. All in the unit of {@link EstimateSpread}.
 *
 * @param planned planned value
 * @param likely the likely value of shapes that have one
 * @param plannedChance chance that the planned value or less suffices
 * @param density height of the density at even steps from low to high, the highest being 1; empty where it is certain
 */
public record EstimateRange(
        double planned,
        double low,
        OptionalDouble likely,
        double high,
        double mean,
        double standardDeviation,
        double plannedChance,
        double[] density) {
    /** Steps of a density that is drawn small. */
    public static final int POINTS = 33;
    /** Chance left out at an end that has no bound. */
    private static final double BEYOND = 0.001;
    /** Stands in for a density that grows without bound towards an end. */
    private static final double HIGHEST = 1e6;

    /** @param points heights of the density that are worked out, at least two */
    public static EstimateRange of(EstimateSpread spread, int points) {
        Distribution distribution = spread.distribution();
        return new EstimateRange(
                spread.planned(),
                lowest(distribution),
                spread.likely(),
                highest(distribution),
                distribution.mean(),
                distribution.standardDeviation(),
                spread.plannedChance(),
                density(distribution, points));
    }

    private static double lowest(Distribution distribution) {
        return Double.isFinite(distribution.low()) ? distribution.low() : distribution.inverse(BEYOND);
    }

    private static double highest(Distribution distribution) {
        return Double.isFinite(distribution.high()) ? distribution.high() : distribution.inverse(1 - BEYOND);
    }

    /** The density itself; for a shape of spikes, the chance around each step. */
    private static double[] density(Distribution distribution, int points) {
        double low = lowest(distribution);
        double width = highest(distribution) - low;
        if (width == 0) {
            return new double[0];
        }
        double[] density = new double[points];
        double step = width / (points - 1);
        double tallest = 0;
        boolean spikes = Double.isInfinite(distribution.density(distribution.inverse(0.5)));
        for (int i = 0; i < points; i++) {
            double x = low + i * step;
            density[i] = spikes
                    ? distribution.cumulative(x + step / 2) - distribution.cumulative(x - step / 2)
                    : Math.min(distribution.density(x), HIGHEST);
            tallest = Math.max(tallest, density[i]);
        }
        for (int i = 0; i < points; i++) {
            density[i] = tallest == 0 ? 0 : density[i] / tallest;
        }
        return density;
    }
}
