package app.tychon.core.uncertainty;

import app.tychon.core.model.Activity;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Grade;
import app.tychon.core.model.Shape;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What an estimate says of one activity or cost line, in the unit people read it in: days of the activity's calendar (of
 * 24 hours where its duration is planned in elapsed days), or money.
 *
 * @param likely the likely value of shapes that have one
 */
public record EstimateSpread(double planned, OptionalDouble likely, Distribution distribution) {

    /** @param estimate the one that counts for the activity, nothing where its duration is certain */
    public static EstimateSpread of(Activity activity, Optional<Estimate> estimate, CalendarDefinition calendar) {
        double day = activity.minutesPerDay(calendar);
        double planned = activity.duration().minutes(calendar) / day;
        return estimate.map(e -> {
                    double scale = activity.minutesEach(e.basis(), calendar) / day;
                    return new EstimateSpread(
                            planned, likely(e.shape(), scale), Distributions.ofDuration(e.shape(), scale));
                })
                .orElseGet(() -> certain(planned));
    }

    /**
     * Income, which is an amount below zero, is told by its size.
     *
     * @param estimate the one that counts for the cost line, nothing where its amount is certain
     */
    public static EstimateSpread of(CostLine line, Optional<Estimate> estimate) {
        double amount = Math.abs(line.amount());
        return estimate.filter(e -> e.basis() != Basis.FACTOR || amount > 0)
                .map(e -> {
                    double scale = e.basis() == Basis.FACTOR ? amount : 1;
                    return new EstimateSpread(amount, likely(e.shape(), scale), Distributions.of(e.shape(), scale));
                })
                .orElseGet(() -> certain(amount));
    }

    /** What a grade makes of a planned value. */
    public static EstimateSpread of(Grade grade, double planned) {
        return new EstimateSpread(
                planned, likely(grade.shape(), planned), Distributions.ofDuration(grade.shape(), planned));
    }

    /**
     * A shape as it is, whatever it is about.
     *
     * @param without the value that means that nothing happens: 0 of what is added, 1 of a factor
     */
    public static EstimateSpread of(Shape shape, double without) {
        return new EstimateSpread(without, likely(shape, 1), Distributions.of(shape, 1));
    }

    private static EstimateSpread certain(double planned) {
        return new EstimateSpread(planned, OptionalDouble.empty(), FixedDistribution.of(planned));
    }

    private static OptionalDouble likely(Shape shape, double scale) {
        if (shape instanceof Shape.Triangular s) {
            return OptionalDouble.of(s.likely() * scale);
        }
        if (shape instanceof Shape.Truncated s) {
            return likely(s.whole(), scale);
        }
        return shape instanceof Shape.Pert s ? OptionalDouble.of(s.likely() * scale) : OptionalDouble.empty();
    }

    /** Chance, 0 to 1, that the planned value or less suffices. */
    public double plannedChance() {
        return distribution.cumulative(planned);
    }
}
