package app.tychon.core.simulation;

import app.tychon.core.model.Activity;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Shape;
import app.tychon.core.uncertainty.Distribution;
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

    public static DurationRange of(Activity activity, CalendarDefinition calendar) {
        double day = (activity.duration().isElapsed() ? 24 : calendar.hoursPerDay()) * 60;
        double planned = activity.duration().minutes(calendar);
        Distribution distribution = CompiledPlan.duration(activity, calendar, planned);
        OptionalDouble likely = activity.estimate()
                .map(e -> likely(e.shape(), CompiledPlan.minutesEach(activity, e, calendar, planned) / day))
                .orElse(OptionalDouble.empty());
        return new DurationRange(
                planned / day,
                distribution.low() / day,
                likely,
                distribution.high() / day,
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

    private static double[] density(Distribution distribution) {
        double width = distribution.high() - distribution.low();
        if (width == 0) {
            return new double[0];
        }
        double[] density = new double[POINTS];
        double highest = 0;
        for (int i = 0; i < POINTS; i++) {
            density[i] = distribution.density(distribution.low() + width * i / (POINTS - 1));
            highest = Math.max(highest, density[i]);
        }
        for (int i = 0; i < POINTS; i++) {
            density[i] /= highest;
        }
        return density;
    }
}
