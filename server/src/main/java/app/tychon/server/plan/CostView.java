package app.tychon.server.plan;

import app.tychon.core.model.CostLine;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Estimates;
import app.tychon.core.model.Grade;
import app.tychon.core.uncertainty.EstimateRange;
import app.tychon.core.uncertainty.EstimateSpread;
import app.tychon.exchange.EstimateJson;
import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.Optional;

/**
 * A cost line.
 *
 * @param on the activity or branch it stands on, or project
 * @param grade of its own
 * @param inherited the grade of the branch above, that counts where there is none of its own
 * @param estimate of its own, which goes before any grade
 * @param range what counts in the end, in money
 */
public record CostView(
        String id,
        String name,
        String on,
        double amount,
        @Nullable String grade,
        @Nullable String inherited,
        @Nullable @Schema(implementation = EstimateWords.class) JsonNode estimate,
        RangeView range) {

    static CostView of(CostLine line, Estimates estimates) {
        Optional<Estimate> counts = estimates.of(line);
        return new CostView(
                line.id(),
                line.name(),
                line.on(),
                line.amount(),
                line.grade().orElse(null),
                estimates.inheritedBy(line).map(Grade::id).orElse(null),
                line.estimate().map(EstimateJson::write).orElse(null),
                RangeView.of(counts, EstimateRange.of(EstimateSpread.of(line, counts), EstimateRange.POINTS)));
    }
}
