package app.tychon.server.drivers;

import app.tychon.core.analysis.SpareTime;
import app.tychon.core.model.Activity;
import app.tychon.core.simulation.Floats;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.RunMonitor;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Where the plan has more time than it needs.
 *
 * @param level        percent at which durations are to be kept
 * @param floatFutures futures whose float was worked out
 * @param rows         what could be given back first
 */
record SpareView(int level, int floatFutures, List<SpareRow> rows) {
    private static final int MOST_FLOATS = 1000;

    /**
     * One activity; days of its calendar.
     *
     * @param planned    days that are still to be worked
     * @param beyond     days planned beyond the P90 of its own estimate
     * @param giveBack   days that could be given back and still be kept at the level
     * @param money      what the plan would cost less without them
     * @param leastFloat days of float that no future uses
     */
    record SpareRow(
            String id, String name, double planned, double beyond, double giveBack, double money, double leastFloat) {}

    static SpareView of(Goal goal, int percent) {
        int futures = Math.min(goal.run().result().iterations(), MOST_FLOATS);
        return goal.run().calculate(futures, (ready, monitor) -> view(goal, ready, percent, futures, monitor));
    }

    private static SpareView view(Goal goal, CompiledPlan plan, int percent, int futures, RunMonitor monitor) {
        Map<String, Activity> activities =
                goal.run().plan().activities().stream().collect(Collectors.toMap(Activity::id, Function.identity()));
        List<SpareTime> spare = SpareTime.of(
                plan,
                goal.run().result().activities(),
                Floats.of(plan, goal.settings(futures), 0, monitor),
                percent,
                monitor);
        return new SpareView(
                percent,
                futures,
                spare.stream()
                        .map(one -> {
                            Activity activity = activities.get(one.id());
                            double day =
                                    activity.minutesPerDay(goal.run().plan().calendarOf(activity));
                            return new SpareRow(
                                    one.id(),
                                    activity.name(),
                                    one.planned() / day,
                                    one.beyond() / day,
                                    one.giveBack() / day,
                                    one.money(),
                                    one.leastFloat().orElse(0) / day);
                        })
                        .toList());
    }
}
