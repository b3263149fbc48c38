package app.tychon.core.simulation;

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

    /**
     * The values of any activity or branch, or of {@link app.tychon.core.model.Plan#PROJECT}, simulated for it: the same that a run with these settings has kept.
     *
     * @param iterations how many of the run's
     * @throws IllegalArgumentException where the plan has no such activity, nor such a branch with activities
     * @throws java.util.concurrent.CancellationException when the thread is interrupted
     */
    public static Output of(CompiledPlan plan, RunSettings settings, int iterations, String id) {
        OutputSamples samples = OutputSamples.of(plan, iterations, id);
        RunSettings enough = new RunSettings(iterations, settings.seed(), settings.sampling(), settings.threads());
        return samples.result(Batches.each(plan, enough, RunMonitor.NONE, samples::add))
                .get(0);
    }
}
