package app.tychon.server.risks;

import app.tychon.core.model.Basis;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.PastEvents;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Shape;
import app.tychon.core.register.PastRate;
import app.tychon.core.uncertainty.Distribution;
import app.tychon.core.uncertainty.Distributions;
import app.tychon.exchange.EstimateJson;
import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.RiskJson;
import app.tychon.server.plan.EstimateWords;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;

/**
 * What past events say of how often and how hard a risk strikes.
 *
 * @param perYear the rate seen
 * @param low     lower end of its 95 % interval
 * @param high    its upper end
 * @param sizes   shapes of one event, the best first
 */
record PastLook(double perYear, double low, double high, List<SizeFit> sizes) {
    private static final int POINTS = 61;
    private static final double BEYOND = 0.005;

    /**
     * A shape for the amount of one event.
     *
     * @param from  where the density begins
     * @param to    where it ends
     * @param density at even steps
     */
    record SizeFit(
            String shape,
            @Schema(implementation = EstimateWords.class) JsonNode words,
            double mean,
            double from,
            double to,
            double[] density) {
        static SizeFit of(Shape shape, Basis unit) {
            Distribution size = Distributions.of(shape, 1);
            double from = Double.isFinite(size.low()) ? size.low() : size.inverse(BEYOND);
            double to = Double.isFinite(size.high()) ? size.high() : size.inverse(1 - BEYOND);
            double[] density = new double[to > from ? POINTS : 0];
            for (int i = 0; i < density.length; i++) {
                density[i] = Math.min(1e6, size.density(from + (to - from) * i / (POINTS - 1)));
            }
            return new SizeFit(
                    EstimateJson.word(shape),
                    EstimateJson.write(new Estimate(shape, unit)),
                    size.mean(),
                    from,
                    to,
                    density);
        }
    }

    /** @throws InvalidPlanException with the problem of every field */
    static PastLook of(JsonNode history) {
        List<Problem> problems = new ArrayList<>();
        ObjectNode words = RiskJson.write(RiskFields.fresh("R"));
        words.set("history", history);
        Risk risk = RiskJson.read(JsonCursor.at(words, problems));
        PastEvents past = risk.entry().history().orElse(null);
        if (past != null && !(past.years() > 0)) {
            problems.add(new Problem("/years", "the years looked at must be above 0"));
        }
        if (past == null || !problems.isEmpty()) {
            throw new InvalidPlanException(problems.stream()
                    .map(p -> new Problem(p.pointer().replaceFirst("^/history", ""), p.message()))
                    .toList());
        }
        PastRate rate = PastRate.of(past);
        return new PastLook(
                rate.perYear(),
                rate.low(),
                rate.high(),
                rate.sizes().stream().map(s -> SizeFit.of(s, past.unit())).toList());
    }
}
