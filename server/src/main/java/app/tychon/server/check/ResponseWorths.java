package app.tychon.server.check;

import app.tychon.core.register.check.RiskCheck.Worth;
import java.util.Map;
import java.util.UUID;

/** What responses are worth by simulation, for the risk check. */
@FunctionalInterface
public interface ResponseWorths {
    /** By risk, as far as it is known of the plan as it is; nothing is worked out for it. */
    Map<String, Worth> of(UUID project);
}
