package app.tychon.core.analysis;

import app.tychon.core.simulation.result.ActivityResult;

/** The schedule sensitivity index (PMBOK Guide): how often an activity drives the finish times how much it varies. */
public final class ScheduleSensitivity {
    private ScheduleSensitivity() {}

    /**
     * Criticality × σ of the activity's duration ÷ σ of the project's.
     *
     * @param projectDeviation standard deviation of the project's duration, working minutes; zero gives zero
     */
    public static double index(ActivityResult activity, double projectDeviation) {
        return projectDeviation == 0 ? 0 : activity.criticality() * activity.sdDuration() / projectDeviation;
    }
}
