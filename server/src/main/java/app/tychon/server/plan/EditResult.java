package app.tychon.server.plan;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;

/**
 * What an edit has led to.
 *
 * @param revision of the project after it
 * @param activities every activity that now differs, by the edit itself or in its dates
 * @param branches every branch, with its dates
 * @param plannedCost sum of all cost lines and resources as planned
 * @param predecessors the links into every activity whose predecessors were edited, by its code
 */
record EditResult(
        long revision,
        LocalDateTime finish,
        double plannedCost,
        List<ActivityView> activities,
        List<BranchView> branches,
        Map<String, List<LinkView>> predecessors) {}
