package app.tychon.server.plan;

import app.tychon.core.model.Estimate;
import app.tychon.core.model.Shape;
import app.tychon.core.uncertainty.EstimateRange;
import app.tychon.exchange.EstimateJson;
import jakarta.annotation.Nullable;
import java.util.Arrays;
import java.util.Optional;

/**
 * How uncertain a duration is, in days of the activity's calendar, or an amount, in money.
 *
 * @param shape certain, or the word of the project file: triangular, pert, lognormal, …
 * @param limits whether low and high are the ends of a triangular, PERT or uniform range as its author gave them, so that
 *     they can be edited point by point; otherwise they bound the drawing
 * @param plannedChance chance, 0 to 1, that the planned value or less suffices
 * @param density heights from 0 to 100 at even steps from low to high; empty where certain
 */
public record RangeView(
        String shape,
        boolean limits,
        double planned,
        double low,
        @Nullable Double likely,
        double high,
        double mean,
        double sd,
        double plannedChance,
        int[] density) {

    private static final int DIGITS = 12;

    public static RangeView of(Optional<Estimate> estimate, EstimateRange range) {
        return new RangeView(
                estimate.filter(e -> !isAsPlanned(e, range))
                        .map(e -> EstimateJson.word(e.shape()))
                        .orElse("certain"),
                estimate.map(Estimate::shape).filter(Shape::isSaidByPoints).isPresent(),
                told(range.planned()),
                told(range.low()),
                range.likely().isPresent() ? told(range.likely().getAsDouble()) : null,
                told(range.high()),
                told(range.mean()),
                told(range.standardDeviation()),
                range.plannedChance(),
                Arrays.stream(range.density())
                        .mapToInt(height -> (int) Math.round(100 * height))
                        .toArray());
    }

    /** To twelve digits: what arithmetic leaves behind is no part of what somebody typed. */
    private static double told(double value) {
        if (value == 0) {
            return 0;
        }
        double unit = Math.pow(10, DIGITS - Math.ceil(Math.log10(Math.abs(value))));
        return Math.round(value * unit) / unit;
    }

    /** Said to take exactly what is planned, as one does where a grade would say otherwise. */
    private static boolean isAsPlanned(Estimate estimate, EstimateRange range) {
        return estimate.shape() instanceof Shape.Fixed && range.low() == range.planned();
    }
}
