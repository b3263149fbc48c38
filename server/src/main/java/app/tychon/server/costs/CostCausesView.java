package app.tychon.server.costs;

import java.util.List;

/**
 * Why it costs what it costs, at a level.
 *
 * @param level   percent
 * @param whole   the project's causes, which add up from the plan to the level
 * @param groups  branches or categories, each at its own level, the largest first; they do not add up to the whole
 * @param with    to be set aside beyond the plan to be as sure
 * @param without the same if nothing took longer or came later than planned
 * @param days    working days from the planned finish to that at the level
 * @param dayCosts what a working day of the project costs
 */
record CostCausesView(
        double level,
        CauseSum whole,
        List<CauseSum> groups,
        double with,
        double without,
        double days,
        double dayCosts) {

    /**
     * Money by cause: each adds to those before, and the last makes {@code at}.
     *
     * @param group id of a branch or project, or a category; empty for what has none
     */
    record CauseSum(
            String group,
            double planned,
            double ranges,
            double delay,
            double risks,
            double actions,
            double at,
            double mean) {}
}
