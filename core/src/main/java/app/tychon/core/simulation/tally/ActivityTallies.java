package app.tychon.core.simulation.tally;

import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.schedule.Lanes;
import app.tychon.core.schedule.Work;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.ActivityResult;
import app.tychon.core.simulation.result.ActivityResult.Delay;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.function.ToDoubleFunction;

/** What is kept of every activity: tallies of duration, start and finish, and how often it was critical. */
public final class ActivityTallies {
    /**
     * Sums an activity: of its duration's deviation, its square, and its product with the project's deviation; of the
     * deviations of its start and finish, instants.
     */
    private static final int SUMS = 5;

    private static final double[] NO_TIME = new double[99];

    private final Tally[] duration;
    private final Tally[] start;
    private final Tally[] finish;
    private final int[] critical;
    /** In how many lanes of the last batch each was critical. */
    private final int[] lately;
    /** A value near the mean, from which deviations are summed. */
    private final double[] centre;

    private final double[] centreStart;
    private final double[] centreFinish;

    private ActivityTallies(int size, double[] centre, double[] centreStart, double[] centreFinish) {
        this.centreStart = centreStart;
        this.centreFinish = centreFinish;
        duration = new Tally[size];
        start = new Tally[size];
        finish = new Tally[size];
        critical = new int[size];
        lately = new int[size];
        this.centre = centre;
    }

    /** Empty tallies whose ranges suit a pilot of {@code count} lanes. */
    public static ActivityTallies forPilot(Lanes pilot, int count) {
        int size = pilot.duration.length;
        ActivityTallies tallies = new ActivityTallies(size, new double[size], new double[size], new double[size]);
        for (int i = 0; i < size; i++) {
            tallies.duration[i] = Tally.forPilot(pilot.duration[i], count);
            tallies.start[i] = Tally.forPilot(pilot.start[i], count);
            tallies.finish[i] = Tally.forPilot(pilot.finish[i], count);
            tallies.centre[i] = pilot.duration[i][0];
            tallies.centreStart[i] = pilot.start[i][0];
            tallies.centreFinish[i] = pilot.finish[i][0];
        }
        return tallies;
    }

    public ActivityTallies sibling() {
        ActivityTallies other = new ActivityTallies(critical.length, centre, centreStart, centreFinish);
        for (int i = 0; i < critical.length; i++) {
            other.duration[i] = duration[i].sibling();
            other.start[i] = start[i].sibling();
            other.finish[i] = finish[i].sibling();
        }
        return other;
    }

    /** Length of the array of sums that {@link #addDates} fills for so many activities. */
    public static int sumsSize(int activities) {
        return activities * SUMS;
    }

    /** Adds the first {@code count} lanes of one activity; its deviations are added to the sums. */
    public void addDates(int i, Lanes lanes, int count, double[] sums) {
        double[] values = lanes.duration[i];
        duration[i].add(values, count);
        start[i].add(lanes.start[i], count);
        finish[i].add(lanes.finish[i], count);
        double middle = centre[i];
        // Going on from the lanes before, so that the sums are those of all lanes of a batch in their order.
        double sum = sums[SUMS * i];
        double squares = sums[SUMS * i + 1];
        for (int k = 0; k < count; k++) {
            double deviation = values[k] - middle;
            sum += deviation;
            squares += deviation * deviation;
        }
        sums[SUMS * i] = sum;
        sums[SUMS * i + 1] = squares;
        double[] startRow = lanes.start[i];
        double[] finishRow = lanes.finish[i];
        double startMiddle = centreStart[i];
        double finishMiddle = centreFinish[i];
        double starts = sums[SUMS * i + 3];
        double finishes = sums[SUMS * i + 4];
        for (int k = 0; k < count; k++) {
            starts += startRow[k] - startMiddle;
            finishes += finishRow[k] - finishMiddle;
        }
        sums[SUMS * i + 3] = starts;
        sums[SUMS * i + 4] = finishes;
    }

    /**
     * Counts in which of the first {@code count} lanes each activity was critical, and sums how its duration went with the
     * project's.
     *
     * @param project deviation of the project's duration in each lane from a value near its mean
     */
    public void addCritical(Lanes lanes, int count, double[] project, double[] sums) {
        for (int i = 0; i < critical.length; i++) {
            boolean[] row = lanes.critical[i];
            double[] values = lanes.duration[i];
            double middle = centre[i];
            int sum = 0;
            double products = sums[SUMS * i + 2];
            for (int k = 0; k < count; k++) {
                sum += row[k] ? 1 : 0;
                products += (values[k] - middle) * project[k];
            }
            critical[i] += sum;
            lately[i] = sum;
            sums[SUMS * i + 2] = products;
        }
    }

    /** Whether an activity was critical in any lane of the last batch. */
    public boolean wasCritical(int i) {
        return lately[i] > 0;
    }

    public void merge(ActivityTallies other) {
        for (int i = 0; i < critical.length; i++) {
            duration[i].merge(other.duration[i]);
            start[i].merge(other.start[i]);
            finish[i].merge(other.finish[i]);
            critical[i] += other.critical[i];
        }
    }

    void clear() {
        for (int i = 0; i < critical.length; i++) {
            duration[i].clear();
            start[i].clear();
            finish[i].clear();
            critical[i] = 0;
        }
    }

    void pack(Packer out) {
        for (int i = 0; i < critical.length; i++) {
            duration[i].pack(out);
            start[i].pack(out);
            finish[i].pack(out);
            out.whole(critical[i]);
        }
    }

    void merge(Unpacker in) {
        for (int i = 0; i < critical.length; i++) {
            duration[i].merge(in);
            start[i].merge(in);
            finish[i].merge(in);
            critical[i] += in.whole();
        }
    }

    /**
     * Results in the plan's order.
     *
     * @param sums    of all {@code n} iterations, which may be followed by others
     * @param project deviations of the project's duration, as {@link #addCritical} had them
     * @param costs   mean cost of what stands on an activity
     */
    public List<ActivityResult> results(
            CompiledPlan plan, double[] sums, double[] project, int n, ToDoubleFunction<String> costs) {
        double projectMean = Arrays.stream(project).sum() / n;
        double projectSquares = Arrays.stream(project).map(d -> d * d).sum() - n * projectMean * projectMean;
        return plan.network().plan().activities().parallelStream()
                .map(activity -> {
                    int i = plan.network().position(activity.id());
                    double mean = sums[SUMS * i] / n;
                    double squares = Math.max(0, sums[SUMS * i + 1] - n * mean * mean);
                    double products = sums[SUMS * i + 2] - n * mean * projectMean;
                    boolean varies = duration[i].max() > duration[i].min() && projectSquares > 0;
                    double sd = n < 2 ? 0 : Math.sqrt(squares / (n - 1));
                    double[] durations = duration[i].percentiles();
                    boolean isMilestone = activity.isMilestone();
                    WorkingTime time = plan.network().time(i);
                    boolean isWork = duration[i].min() > 0
                            && !isMilestone
                            && plan.network().work(i).state() == Work.State.NOT_STARTED;
                    Optional<Delay> delay = isMilestone && plan.risks().mayDelay(i)
                            ? Optional.of(new Delay(centre[i] + mean, sd, durations))
                            : Optional.empty();
                    return new ActivityResult(
                            activity.id(),
                            (double) critical[i] / n,
                            varies ? products / Math.sqrt(squares * projectSquares) : 0,
                            delay,
                            isMilestone ? 0 : centre[i] + mean,
                            isMilestone ? 0 : sd,
                            centreStart[i] + sums[SUMS * i + 3] / n,
                            centreFinish[i] + sums[SUMS * i + 4] / n,
                            costs.applyAsDouble(activity.id()),
                            isMilestone ? NO_TIME : durations,
                            worked(isWork, start[i].percentiles(), at -> time.startInstant(time.work(at))),
                            worked(isWork, finish[i].percentiles(), at -> time.finishInstant(time.work(at))));
                })
                .toList();
    }

    /** What a bin has put into a break is moved to where work ends or begins; what takes no time may stand anywhere. */
    private static double[] worked(boolean isWork, double[] instants, DoubleUnaryOperator move) {
        return isWork ? Arrays.stream(instants).map(move).toArray() : instants;
    }
}
