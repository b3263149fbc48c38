package app.tychon.server.scenarios;

import java.util.List;

/**
 * When the work of each activity and branch begins and ends in several scenarios.
 *
 * @param levels percent, of which starts and finishes are told
 */
record RailsView(List<Integer> levels, List<ScenarioRails> scenarios) {
    /** @param id of the scenario, empty for the plan itself */
    record ScenarioRails(String id, List<Rail> rows) {}

    /**
     * One row.
     *
     * @param id     of the activity or branch
     * @param start  at each level, whole minutes since 1970 without a zone
     * @param finish likewise
     */
    record Rail(String id, long[] start, long[] finish) {}
}
