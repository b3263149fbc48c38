package app.tychon.server.runs;

import app.tychon.core.model.Plan;
import app.tychon.core.simulation.result.RunResult;

/**
 * A run opened for reading.
 *
 * @param plan its inputs, as they were
 * @param result without the values of activities and branches, which are read one by one
 */
public record RecordedRun(Plan plan, RunResult result) {}
