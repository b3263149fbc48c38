package app.tychon.core.simulation;

import java.util.List;

/**
 * What a run gives. Arrays hold a value an iteration, in the order of the iterations.
 *
 * @param settings as asked
 * @param iterations how many were simulated: as asked, or fewer where the run was stopped
 * @param finish finish of the project, instants in minutes
 * @param duration working minutes of the project calendar from the project's start to its finish
 * @param cost money by cause
 * @param planFinish finish of the plan without uncertainty, instant in minutes
 * @param planDuration its duration, working minutes
 * @param activities in the plan's order
 */
public record RunResult(
        RunSettings settings,
        int iterations,
        double[] finish,
        double[] duration,
        CostSamples cost,
        double planFinish,
        double planDuration,
        List<ActivityResult> activities) {

    public RunResult {
        activities = List.copyOf(activities);
    }

    /**
     * Cost of each iteration, apart by cause; the parts add up to the total exactly.
     *
     * @param planned the plan's cost, the same in every iteration
     * @param spread what the estimates of amounts add at planned durations
     * @param timeDriven what longer or shorter durations add
     */
    public record CostSamples(double planned, double[] spread, double[] timeDriven) {
        /** Total cost of each iteration. */
        public double[] totals() {
            double[] totals = new double[spread.length];
            for (int i = 0; i < totals.length; i++) {
                totals[i] = planned + spread[i] + timeDriven[i];
            }
            return totals;
        }
    }
}
