package app.tychon.core.simulation;

import app.tychon.core.model.Activity;
import app.tychon.core.schedule.ForwardPass;
import app.tychon.core.schedule.Lanes;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;

/** What is kept of every activity: tallies of duration, start and finish, and how often it was critical. */
final class ActivityTallies {
    private final Tally[] duration;
    private final Tally[] start;
    private final Tally[] finish;
    private final int[] critical;
    /** A value near the mean, from which deviations are summed. */
    private final double[] centre;

    private ActivityTallies(int size, double[] centre) {
        duration = new Tally[size];
        start = new Tally[size];
        finish = new Tally[size];
        critical = new int[size];
        this.centre = centre;
    }

    /** Empty tallies whose ranges suit a pilot of {@code count} lanes. */
    static ActivityTallies forPilot(Lanes pilot, int count) {
        int size = pilot.duration.length;
        ActivityTallies tallies = new ActivityTallies(size, new double[size]);
        for (int i = 0; i < size; i++) {
            tallies.duration[i] = Tally.forPilot(pilot.duration[i], count);
            tallies.start[i] = Tally.forPilot(pilot.start[i], count);
            tallies.finish[i] = Tally.forPilot(pilot.finish[i], count);
            tallies.centre[i] = pilot.duration[i][0];
        }
        return tallies;
    }

    ActivityTallies sibling() {
        ActivityTallies other = new ActivityTallies(critical.length, centre);
        for (int i = 0; i < critical.length; i++) {
            other.duration[i] = duration[i].sibling();
            other.start[i] = start[i].sibling();
            other.finish[i] = finish[i].sibling();
        }
        return other;
    }

    /** Length of the array of sums that {@link #addDates} fills for so many activities. */
    static int sumsSize(int activities) {
        return activities * 2;
    }

    /** Adds the first {@code count} lanes of one activity; sum and sum of squares of its duration's deviation go to sums. */
    void addDates(int i, Lanes lanes, int count, double[] sums) {
        double[] values = lanes.duration[i];
        duration[i].add(values, count);
        start[i].add(lanes.start[i], count);
        finish[i].add(lanes.finish[i], count);
        double sum = 0;
        double squares = 0;
        for (int k = 0; k < count; k++) {
            double deviation = values[k] - centre[i];
            sum += deviation;
            squares += deviation * deviation;
        }
        sums[2 * i] = sum;
        sums[2 * i + 1] = squares;
    }

    /** Counts in which of the first {@code count} lanes each activity was critical. */
    void addCritical(Lanes lanes, int count) {
        for (int i = 0; i < critical.length; i++) {
            boolean[] row = lanes.critical[i];
            int sum = 0;
            for (int k = 0; k < count; k++) {
                sum += row[k] ? 1 : 0;
            }
            critical[i] += sum;
        }
    }

    void merge(ActivityTallies other) {
        for (int i = 0; i < critical.length; i++) {
            duration[i].merge(other.duration[i]);
            start[i].merge(other.start[i]);
            finish[i].merge(other.finish[i]);
            critical[i] += other.critical[i];
        }
    }

    /** Results in the plan's order, from the tallies of all {@code n} iterations, their sums and those of the cost lines. */
    List<ActivityResult> results(CompiledPlan plan, double[] sums, double[] lineSums, int n) {
        ForwardPass pass = plan.pass();
        List<ActivityResult> results = new ArrayList<>(critical.length);
        for (Activity activity : plan.network().plan().activities()) {
            int i = plan.network().position(activity.id());
            double mean = sums[2 * i] / n;
            double variance = n < 2 ? 0 : Math.max(0, (sums[2 * i + 1] - n * mean * mean) / (n - 1));
            results.add(new ActivityResult(
                    activity.id(),
                    (double) critical[i] / n,
                    centre[i] + mean,
                    Math.sqrt(variance),
                    start[i].mean(c -> pass.startInstant(i, c)),
                    finish[i].mean(c -> pass.finishInstant(i, c)),
                    plan.costs().meanOf(activity.id(), lineSums, n),
                    duration[i].percentiles(),
                    instants(start[i].percentiles(), c -> pass.startInstant(i, c)),
                    instants(finish[i].percentiles(), c -> pass.finishInstant(i, c))));
        }
        return results;
    }

    private static double[] instants(double[] coordinates, DoubleUnaryOperator map) {
        for (int p = 0; p < coordinates.length; p++) {
            coordinates[p] = map.applyAsDouble(coordinates[p]);
        }
        return coordinates;
    }
}
