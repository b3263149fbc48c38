package app.tychon.core.model;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Optional;

/**
 * Money on an activity or hammock, a WBS branch or the whole project.
 *
 * @param on         id of an activity or a WBS branch, or {@link Plan#PROJECT}
 * @param amount     planned amount in the project's currency
 * @param fixedShare share of the amount, 0 to 1, that does not grow with time; the rest is proportional to duration
 * @param grade      id of the grade of spread it has of its own; where it has none, that of the branch it stands in counts
 * @param estimate   how uncertain the amount is, for both shares alike; goes before any grade
 */
@RecordBuilder
public record CostLine(
        String id,
        String name,
        String on,
        double amount,
        double fixedShare,
        CostTiming timing,
        Optional<String> grade,
        Optional<Estimate> estimate)
        implements CostLineBuilder.With {}
