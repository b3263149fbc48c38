package app.tychon.server.plan;

import app.tychon.core.model.Escalation;
import app.tychon.core.model.Shape;
import app.tychon.core.uncertainty.Distributions;
import app.tychon.exchange.MoneyJson;
import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;

/**
 * By how much prices of a category rise.
 *
 * @param category empty for all
 * @param perYear  on average, 0.04 for four percent
 * @param shape    where it is uncertain, in the words of the project file
 */
public record EscalationView(
        String category, double perYear, @Nullable @Schema(implementation = EstimateWords.class) JsonNode shape) {
    static EscalationView of(Escalation one) {
        return new EscalationView(
                one.category(),
                Distributions.of(one.perYear(), 1).mean(),
                one.perYear() instanceof Shape.Fixed
                        ? null
                        : MoneyJson.write(one).get("perYear"));
    }
}
