package app.tychon.core.uncertainty.check;

import app.tychon.core.model.Acceptance;
import java.util.Optional;

/**
 * Something the range check has found.
 *
 * @param on       id of the activity, branch or cost line, or {@link app.tychon.core.model.Plan#PROJECT}
 * @param message  what was found, with its numbers
 * @param accepted why it is no fault, where somebody has said so
 */
public record RangeFinding(RangeFault fault, String on, String message, Optional<Acceptance> accepted) {}
