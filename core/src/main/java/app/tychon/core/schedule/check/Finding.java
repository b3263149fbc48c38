package app.tychon.core.schedule.check;

import app.tychon.core.model.Acceptance;
import java.util.Optional;

/**
 * Something a check has found.
 *
 * @param on       id of the activity, or {@link app.tychon.core.model.Plan#PROJECT}
 * @param message  what was found, with its numbers
 * @param fix      what mends it without moving a date, where there is such a thing
 * @param accepted why it is no fault, where somebody has said so
 */
public record Finding(Check check, String on, String message, Optional<Fix> fix, Optional<Acceptance> accepted) {}
