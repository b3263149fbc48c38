package app.tychon.core.register.check;

import app.tychon.core.model.Acceptance;
import app.tychon.core.model.Risk;
import java.util.Optional;

/**
 * Something the risk check has found.
 *
 * @param on       id of the risk
 * @param message  what was found, with its numbers
 * @param mended   the risk as it would be mended without changing anything that is simulated, where there is such a way
 * @param accepted why it is no fault, where somebody has said so
 */
public record RiskFinding(
        RiskFault fault, String on, String message, Optional<Risk> mended, Optional<Acceptance> accepted) {}
