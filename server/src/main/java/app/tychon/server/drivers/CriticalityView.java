package app.tychon.server.drivers;

import app.tychon.core.analysis.ScheduleSensitivity;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Plan;
import app.tychon.core.schedule.LongestPath;
import app.tychon.core.simulation.Floats;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.ActivityResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.statistics.Sample;
import jakarta.annotation.Nullable;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * How often each activity drove, and how near it came to it.
 *
 * @param towards  code of the activity it is towards; absent for the project's finish
 * @param futures  of the run
 * @param floatFutures of these, those whose float was worked out
 * @param nearDays days of float within which an activity counts as nearly critical
 * @param rows     in the plan's order
 */
record CriticalityView(
        @Nullable String towards, int futures, int floatFutures, double nearDays, List<CriticalityRow> rows) {
    /** Futures whose float is worked out: a share of a thousand is known to about a percent. */
    private static final int MOST_FLOATS = 1000;

    /**
     * One activity.
     *
     * @param share      of futures, 0 to 1, in which it lay on a longest path
     * @param cruciality correlation of its duration with when the project, or what it is towards, ends
     * @param index      schedule sensitivity index
     * @param planned    whether it lies on the plan's longest path
     * @param meanFloat  days of its calendar; absent for what cannot slip by itself or does not lead there
     * @param leastFloat in any future
     * @param near       share of futures in which its float is within the days asked for
     * @param meanDays   mean duration
     * @param sdDays     standard deviation of it
     */
    record CriticalityRow(
            String id,
            String name,
            double share,
            double cruciality,
            double index,
            boolean planned,
            @Nullable Double meanFloat,
            @Nullable Double leastFloat,
            @Nullable Double near,
            double meanDays,
            double sdDays) {}

    static CriticalityView of(Goal goal, double nearDays) {
        int futures = goal.run().result().iterations();
        int floatFutures = Math.min(futures, MOST_FLOATS);
        double[] ends = goal.towardsEnd().values();
        return goal.run()
                .calculate(futures, (ready, monitor) -> view(goal, ends, nearDays, futures, floatFutures, monitor));
    }

    private static CriticalityView view(
            Goal goal, double[] ends, double nearDays, int futures, int floatFutures, RunMonitor monitor) {
        CompiledPlan plan = goal.towards();
        List<ActivityResult> results = goal.towardsId().isEmpty()
                ? goal.run().result().activities()
                : Simulation.run(plan, goal.settings(), monitor).activities();
        List<Optional<Floats.OfActivity>> floats = Floats.of(plan, goal.settings(floatFutures), nearDays, monitor);
        Set<String> longest = LongestPath.to(plan.network(), plan.target());
        double deviation = Sample.of(ends).standardDeviation();
        List<CriticalityRow> rows = new ArrayList<>();
        Plan rowsOf = goal.run().plan();
        for (int i = 0; i < rowsOf.activities().size(); i++) {
            Activity activity = rowsOf.activities().get(i);
            ActivityResult result = results.get(i);
            double day = activity.minutesPerDay(rowsOf.calendarOf(activity));
            Optional<Floats.OfActivity> slack = floats.get(i);
            rows.add(new CriticalityRow(
                    activity.id(),
                    activity.name(),
                    result.criticality(),
                    result.cruciality(),
                    ScheduleSensitivity.index(result, deviation),
                    longest.contains(activity.id()),
                    slack.map(one -> one.mean() / day).orElse(null),
                    slack.map(one -> one.least() / day).orElse(null),
                    slack.map(Floats.OfActivity::near).orElse(null),
                    result.meanDuration() / day,
                    result.sdDuration() / day));
        }
        return new CriticalityView(goal.towardsId().orElse(null), futures, floatFutures, nearDays, rows);
    }
}
