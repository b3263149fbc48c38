package app.tychon.server.ranges;

import app.tychon.core.model.Estimate;
import app.tychon.core.uncertainty.EstimateRange;
import app.tychon.core.uncertainty.EstimateSpread;
import app.tychon.server.plan.RangeView;
import java.util.Optional;

/**
 * What an estimate would say, drawn finely, in days or money.
 *
 * @param curve heights of the density from 0 to 1 at even steps from low to high
 * @param p10 value that suffices with one chance in ten
 */
record RangeLook(RangeView range, double[] curve, double p10, double p50, double p90) {
    private static final int POINTS = 161;

    static RangeLook of(Optional<Estimate> estimate, EstimateSpread spread) {
        EstimateRange fine = EstimateRange.of(spread, POINTS);
        return new RangeLook(
                RangeView.of(estimate, fine),
                fine.density(),
                spread.distribution().inverse(0.1),
                spread.distribution().inverse(0.5),
                spread.distribution().inverse(0.9));
    }
}
