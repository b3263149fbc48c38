package app.tychon.exchange.changes;

import app.tychon.core.model.Plan;
import app.tychon.core.model.ScenarioEdit;
import java.util.List;

/**
 * A scenario laid over a plan.
 *
 * @param plan    what comes of it, without scenarios of its own
 * @param misfits what of the scenario does not fit the plan as it is now
 * @param idle    edits that have no effect because of that; they stay with the scenario
 */
public record Laid(Plan plan, List<Misfit> misfits, List<ScenarioEdit> idle) {
    /**
     * Something of a scenario that does not fit.
     *
     * @param section as the project file calls it
     * @param key     of the object within it
     * @param idle    whether it has no effect; else the scenario's word counts
     * @param why     a sentence without its subject, such as "it is no longer in the plan"
     */
    public record Misfit(String section, String key, boolean idle, String why) {}
}
