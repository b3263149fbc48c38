package app.tychon.core.simulation.result;

import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.tally.OutputSamples;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * What a run gives. Arrays hold a value an iteration, in the order of the iterations.
 *
 * @param settings as asked
 * @param iterations how many were simulated: as asked, or fewer where the run was stopped or had become steady
 * @param start first start of the project, instants in minutes; none in results that were kept before it was
 * @param finish finish of the project, instants in minutes
 * @param duration working minutes of the project calendar from the project's start to its finish
 * @param cost money by cause
 * @param planFinish finish of the plan without uncertainty, instant in minutes
 * @param planDuration its duration, working minutes
 * @param activities in the plan's order
 * @param branches those that hold activities, in the plan's order
 * @param outputs all sampled values of watched activities, and of as many milestones and branches as
 *     {@link OutputSamples#MOST_VALUES} has room for, in the plan's order; of others see {@link Outputs#of}
 * @param risks those that took part, by id
 * @param paths the driving paths met most often, the most frequent first
 */
public record RunResult(
        RunSettings settings,
        int iterations,
        double[] start,
        double[] finish,
        double[] duration,
        CostSamples cost,
        double planFinish,
        double planDuration,
        List<ActivityResult> activities,
        List<BranchResult> branches,
        List<Output> outputs,
        List<RiskResult> risks,
        List<DrivingPath> paths) {
    /** Bytes of an activity: percentiles of duration, start and finish. */
    public static final long AN_ACTIVITY = 3 * 99 * 8 + 200;

    public RunResult {
        activities = List.copyOf(activities);
        branches = List.copyOf(branches);
        outputs = List.copyOf(outputs);
        risks = List.copyOf(risks);
        paths = List.copyOf(paths);
    }

    /**
     * Cost of each iteration, apart by cause; the parts add up to the total exactly.
     *
     * @param planned the plan's cost, the same in every iteration
     * @param spread what the estimates of amounts add at planned durations
     * @param timeDriven what longer or shorter durations add
     * @param risk what risks add to amounts; the time they cost is in {@code timeDriven}
     * @param actions what responses cost, the same in every iteration
     */
    public record CostSamples(double planned, double[] spread, double[] timeDriven, double[] risk, double actions) {
        /** Total cost of each iteration. */
        public double[] totals() {
            double[] totals = new double[spread.length];
            for (int i = 0; i < totals.length; i++) {
                totals[i] = planned + spread[i] + timeDriven[i] + risk[i] + actions;
            }
            return totals;
        }
    }

    /** About how much memory it takes, its outputs included. */
    public long bytes() {
        return Double.BYTES * (long) iterations * (6 + 4L * outputs.size()) + AN_ACTIVITY * activities.size();
    }

    /** Whether anything in the plan costs or earns money. */
    public boolean hasMoney() {
        return cost.planned() != 0 || Arrays.stream(cost.totals()).anyMatch(total -> total != 0);
    }

    /** The values that were kept of an activity or a branch. */
    public Optional<Output> output(String id) {
        return outputs.stream().filter(output -> output.id().equals(id)).findFirst();
    }

    /** @param occurred share of iterations, 0 to 1, in which it struck at least once */
    public record RiskResult(String id, double occurred) {}

    /**
     * A path that drove the finish.
     *
     * @param activities ids from its start to the finish
     * @param share of iterations, 0 to 1
     * @param meanDuration mean working minutes of the project where it drove
     */
    public record DrivingPath(List<String> activities, double share, double meanDuration) {
        public DrivingPath {
            activities = List.copyOf(activities);
        }
    }
}
