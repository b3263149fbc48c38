package app.tychon.core.simulation.result;

import java.util.Optional;

/**
 * What a run says of one activity.
 *
 * @param criticality share of iterations, 0 to 1, in which it lay on a longest path to the finish
 * @param cruciality Pearson's correlation of its duration with when the project, or what the plan aims at, ends
 * @param delay of a milestone that risks may strike: it keeps its duration of 0
 * @param meanDuration mean sampled duration, working minutes
 * @param sdDuration standard deviation of it
 * @param meanStart mean start, an instant in minutes
 * @param meanFinish mean finish, likewise
 * @param meanCost mean of what stands on it, money
 * @param duration percentiles 1 to 99 of it (index 0 is P1)
 * @param start percentiles 1 to 99 of the start, instants in minutes
 * @param finish percentiles 1 to 99 of the finish, instants in minutes
 */
public record ActivityResult(
        String id,
        double criticality,
        double cruciality,
        Optional<Delay> delay,
        double meanDuration,
        double sdDuration,
        double meanStart,
        double meanFinish,
        double meanCost,
        double[] duration,
        double[] start,
        double[] finish) {
    /** Percentiles 1 to 99 of duration, start and finish. */
    public record Percentiles(double[] duration, double[] start, double[] finish) {}

    public ActivityResult with(Percentiles others) {
        return new ActivityResult(
                id,
                criticality,
                cruciality,
                delay,
                meanDuration,
                sdDuration,
                meanStart,
                meanFinish,
                meanCost,
                others.duration(),
                others.start(),
                others.finish());
    }

    /**
     * By how much risks delay a milestone, working minutes.
     *
     * @param percentiles 1 to 99 (index 0 is P1)
     */
    public record Delay(double mean, double sd, double[] percentiles) {}
}
