package app.tychon.core.model;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Optional;

/**
 * A branch of the work breakdown.
 *
 * @param grade id of the grade of spread that everything beneath has that has none of its own
 */
@RecordBuilder
public record WbsNode(String id, Optional<String> parent, String code, String name, Optional<String> grade)
        implements WbsNodeBuilder.With {}
