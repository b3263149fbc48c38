package app.tychon.server.live;

import app.tychon.core.simulation.RunNeeds;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.RunResult;
import java.util.UUID;

/**
 * A simulation behind live odds: the plan as it was then, and all that came out.
 *
 * @param project whose plan it is
 * @param revision of the plan
 */
public record LiveRun(UUID project, long revision, CompiledPlan plan, RunResult result) {
    /** About how much memory it takes. */
    long bytes() {
        return result.bytes() + RunNeeds.ofPlan(plan.network().plan());
    }
}
