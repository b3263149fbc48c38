package app.tychon.core.analysis.check;

import app.tychon.core.model.Acceptance;
import java.util.Optional;

/**
 * Something the cost check has found.
 *
 * @param on       id of the cost line, activity or resource, or {@link app.tychon.core.model.Plan#PROJECT}
 * @param message  what was found, with its numbers
 * @param accepted why it is no fault, where somebody has said so
 */
public record CostFinding(CostFault fault, String on, String message, Optional<Acceptance> accepted) {}
