package app.tychon.core.simulation.money;

import app.tychon.core.model.CostTiming;
import app.tychon.core.simulation.draws.UncertainInput;
import app.tychon.core.simulation.risk.Hit;
import java.util.List;

/**
 * Something that costs, a cost line or a resource at work, made ready.
 *
 * @param on       what it stands on
 * @param position of the activity it stands on, -1 for a branch
 * @param owner    row of what it stands on in {@link CostLanes#owners}
 * @param scaled   risks that multiply it
 */
public record CostItem(
        String on,
        int position,
        double amount,
        double variableShare,
        UncertainInput sampled,
        double plannedDuration,
        double progressRatio,
        CostTiming timing,
        int owner,
        List<Hit> scaled) {
    public double growth() {
        return PlannedCost.growth(variableShare, progressRatio);
    }

    /** Whether its cost follows how long the work takes. */
    public boolean followsTime() {
        return variableShare != 0 && plannedDuration != 0;
    }
}
