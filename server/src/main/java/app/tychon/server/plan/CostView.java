package app.tychon.server.plan;

import app.tychon.core.model.CostLine;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Estimates;
import app.tychon.core.model.Grade;
import app.tychon.core.uncertainty.EstimateRange;
import app.tychon.core.uncertainty.EstimateSpread;
import app.tychon.exchange.EstimateJson;
import app.tychon.exchange.costs.PaymentText;
import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * A cost line.
 *
 * @param on the activity or branch it stands on, or project
 * @param amount planned, at the prices of the project's start; with a rate a day, what is due beside it
 * @param perDay what it costs for each planned working day beside the amount; absent for a plain amount
 * @param fixedShare share that is due whatever happens, 0 to 1
 * @param paid when, as people write it
 * @param category levels apart by a slash; empty for none
 * @param spent up to the data date
 * @param toGo still to be paid, where that is said
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
        @Nullable Double perDay,
        double fixedShare,
        String paid,
        String category,
        @Nullable Double spent,
        @Nullable Double toGo,
        @Nullable String grade,
        @Nullable String inherited,
        @Nullable @Schema(implementation = EstimateWords.class) JsonNode estimate,
        RangeView range) {

    private static final int MOST_RANGES = 20_000;
    /** Drawn once: an edit of one line tells all of them anew. */
    private static final Map<Said, RangeView> RANGES = new ConcurrentHashMap<>();

    private record Said(Optional<Estimate> estimate, double planned) {}

    /** @param planned the planned amount, of which its range speaks */
    static CostView of(CostLine line, double planned, Estimates estimates) {
        Optional<Estimate> counts = estimates.of(line);
        return new CostView(
                line.id(),
                line.name(),
                line.on(),
                line.amount(),
                line.perDay().orElse(null),
                line.fixedShare(),
                PaymentText.of(line),
                line.category(),
                line.spent().orElse(null),
                line.toGo().orElse(null),
                line.grade().orElse(null),
                estimates.inheritedBy(line).map(Grade::id).orElse(null),
                line.estimate().map(EstimateJson::write).orElse(null),
                range(line, counts, planned));
    }

    private static RangeView range(CostLine line, Optional<Estimate> counts, double planned) {
        if (RANGES.size() > MOST_RANGES) {
            RANGES.clear();
        }
        return RANGES.computeIfAbsent(
                new Said(counts, planned),
                said -> RangeView.of(
                        counts,
                        EstimateRange.of(EstimateSpread.of(line.withAmount(planned), counts), EstimateRange.POINTS)));
    }
}
