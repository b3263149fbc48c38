package app.tychon.core.simulation.result;

/**
 * All sampled values of a part of the project, one an iteration.
 *
 * @param start instants in minutes
 * @param finish instants in minutes
 * @param duration working minutes: of an activity's own calendar, of the project's for a branch
 * @param cost money of all that stands on it; empty where none does
 */
public record Output(Kind kind, String id, double[] start, double[] finish, double[] duration, double[] cost) {
    public enum Kind {
        BRANCH,
        ACTIVITY
    }
}
