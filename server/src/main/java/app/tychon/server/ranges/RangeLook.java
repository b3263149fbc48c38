package app.tychon.server.ranges;

import app.tychon.core.model.Basis;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Problem;
import app.tychon.core.model.ShapeRules;
import app.tychon.core.uncertainty.EstimateRange;
import app.tychon.core.uncertainty.EstimateSpread;
import app.tychon.exchange.EstimateJson;
import app.tychon.exchange.JsonCursor;
import app.tychon.server.plan.RangeView;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What an estimate would say, drawn finely, in days or money.
 *
 * @param curve heights of the density from 0 to 1 at even steps from low to high
 * @param p10 value that suffices with one chance in ten
 */
record RangeLook(RangeView range, double[] curve, double p10, double p50, double p90) {
    private static final int POINTS = 161;

    /** @throws InvalidPlanException with the problem of every parameter */
    static RangeLook ofEffect(JsonNode words) {
        List<Problem> problems = new ArrayList<>();
        Estimate estimate = EstimateJson.read(JsonCursor.at(words, problems), Basis.DAYS);
        if (problems.isEmpty()) {
            problems.addAll(ShapeRules.problems(estimate.shape()));
        }
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        double without = estimate.basis() == Basis.FACTOR ? 1 : 0;
        return of(Optional.of(estimate), EstimateSpread.of(estimate.shape(), without));
    }

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
