package app.tychon.core.schedule;

import java.util.List;

/**
 * The plan without uncertainty: dates and floats of every activity, in the plan's own order.
 *
 * @param finish instant at which the project finishes, minutes as in {@link app.tychon.core.calendar.Instants}
 */
public record Schedule(double finish, List<ScheduledActivity> activities) {
    public Schedule {
        activities = List.copyOf(activities);
    }

    /**
     * Instants in minutes; floats in working minutes of the activity's own calendar, below zero where a date constraint
     * is missed.
     *
     * @param onLongestPath whether it lies on a longest path to the project's finish
     */
    public record ScheduledActivity(
            String id,
            double earlyStart,
            double earlyFinish,
            double lateStart,
            double lateFinish,
            double totalFloat,
            double freeFloat,
            boolean onLongestPath) {}
}
