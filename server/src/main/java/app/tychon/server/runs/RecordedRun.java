package app.tychon.server.runs;

import app.tychon.core.analysis.DateSample;
import app.tychon.core.analysis.Sample;
import app.tychon.core.calendar.WorkingTimes;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.RunResult;

/**
 * A run opened for reading.
 *
 * @param plan its inputs, as they were
 * @param finish the project's finish, instants in minutes
 * @param duration the project's duration, working minutes of its calendar
 * @param cost total cost
 */
record RecordedRun(Plan plan, RunResult result, Sample finish, Sample duration, Sample cost) {
    static RecordedRun of(Plan plan, RunResult result) {
        return new RecordedRun(
                plan,
                result,
                DateSample.of(result.finish(), WorkingTimes.ofProject(plan)),
                Sample.of(result.duration()),
                Sample.of(result.cost().totals()));
    }
}
