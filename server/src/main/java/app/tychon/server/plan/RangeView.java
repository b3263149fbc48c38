package app.tychon.server.plan;

import app.tychon.core.simulation.DurationRange;
import jakarta.annotation.Nullable;
import java.util.Arrays;

/**
 * How uncertain a duration is, in days of the activity's calendar.
 *
 * @param shape certain, fixed, uniform, triangular or pert
 * @param plannedChance chance, 0 to 1, that the planned duration or less suffices
 * @param density heights from 0 to 100 at even steps from low to high; empty where certain
 */
record RangeView(
        String shape,
        double planned,
        double low,
        @Nullable Double likely,
        double high,
        double mean,
        double sd,
        double plannedChance,
        int[] density) {

    static RangeView of(String shape, DurationRange range) {
        return new RangeView(
                shape,
                range.planned(),
                range.low(),
                range.likely().isPresent() ? range.likely().getAsDouble() : null,
                range.high(),
                range.mean(),
                range.standardDeviation(),
                range.plannedChance(),
                Arrays.stream(range.density())
                        .mapToInt(height -> (int) Math.round(100 * height))
                        .toArray());
    }
}
