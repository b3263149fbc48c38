package app.tychon.core.simulation;

import app.tychon.core.model.Activity;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Shape;
import app.tychon.core.uncertainty.Distribution;
import app.tychon.core.uncertainty.Distributions;
import app.tychon.core.uncertainty.FixedDistribution;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How long an activity may take, for people to look at. All in days of the activity's calendar (of 24 hours where its
 * duration is planned in elapsed days).
 *
 * @param planned planned duration
 * @param likely the likely value of shapes that have one
 * @param plannedChance chance that the planned duration or less suffices
 * @param density height of the density at {@value #POINTS} even steps from low to high, the highest being 1; empty where
 *     the duration is certain
 */
public record DurationRange(
        double planned,
        double low,
        OptionalDouble likely,
        double high,
        double mean,
        double standardDeviation,
        double plannedChance,
        double[] density) {
    private static final int POINTS = 33;
    /** Chance left out at an end that has no bound. */
    private static final double BEYOND = 0.001;
    /** Stands in for a density that grows without bound towards an end. */
    private static final double HIGHEST = 1e6;

    /** @param estimate the one that counts for the activity, nothing where its duration is certain */
    public static DurationRange of(Activity activity, Optional<Estimate> estimate, CalendarDefinition calendar) {
        double day = activity.minutesPerDay(calendar);
        double planned = activity.duration().minutes(calendar);
        Distribution distribution = estimate.map(
                        e -> Distributions.ofDuration(e.shape(), activity.minutesEach(e.basis(), calendar)))
                .orElseGet(() -> FixedDistribution.of(planned));
        OptionalDouble likely = estimate.map(e -> likely(e.shape(), activity.minutesEach(e.basis(), calendar) / day))
                .orElse(OptionalDouble.empty());
        return new DurationRange(
                planned / day,
                lowest(distribution) / day,
                likely,
                highest(distribution) / day,
                distribution.mean() / day,
                distribution.standardDeviation() / day,
                distribution.cumulative(planned),
                density(distribution));
    }

    private static OptionalDouble likely(Shape shape, double scale) {
        if (shape instanceof Shape.Triangular s) {
            return OptionalDouble.of(s.likely() * scale);
        }
        return shape instanceof Shape.Pert s ? OptionalDouble.of(s.likely() * scale) : OptionalDouble.empty();
    }

    private static double lowest(Distribution distribution) {
        return Double.isFinite(distribution.low()) ? distribution.low() : distribution.inverse(BEYOND);
    }

    private static double highest(Distribution distribution) {
        return Double.isFinite(distribution.high()) ? distribution.high() : distribution.inverse(1 - BEYOND);
    }

    /** The density itself; for a shape of spikes, the chance around each step. */
    private static double[] density(Distribution distribution) {
        double low = lowest(distribution);
        double width = highest(distribution) - low;
        if (width == 0) {
            return new double[0];
        }
        double[] density = new double[POINTS];
        double step = width / (POINTS - 1);
        double tallest = 0;
        boolean spikes = Double.isInfinite(distribution.density(distribution.inverse(0.5)));
        for (int i = 0; i < POINTS; i++) {
            double x = low + i * step;
            density[i] = spikes
                    ? distribution.cumulative(x + step / 2) - distribution.cumulative(x - step / 2)
                    : Math.min(distribution.density(x), HIGHEST);
            tallest = Math.max(tallest, density[i]);
        }
        for (int i = 0; i < POINTS; i++) {
            density[i] = tallest == 0 ? 0 : density[i] / tallest;
        }
        return density;
    }
}
