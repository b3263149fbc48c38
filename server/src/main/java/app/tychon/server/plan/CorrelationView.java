package app.tychon.server.plan;

import app.tychon.core.model.Correlation;
import jakarta.annotation.Nullable;
import java.util.List;

/**
 * Estimates that move together, by rank correlation.
 *
 * @param members codes of activities and cost lines
 * @param coefficient of every pair; absent where there is a matrix
 * @param matrix lower triangle with the diagonal; empty where there is one coefficient
 */
public record CorrelationView(
        String id, String name, List<String> members, @Nullable Double coefficient, List<List<Double>> matrix) {
    public static CorrelationView of(Correlation correlation) {
        return new CorrelationView(
                correlation.id(),
                correlation.name(),
                correlation.members(),
                correlation.coefficient().isPresent()
                        ? correlation.coefficient().getAsDouble()
                        : null,
                correlation.matrix());
    }
}
