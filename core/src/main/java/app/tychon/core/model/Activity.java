package app.tychon.core.model;

import java.util.Optional;

/**
 * A piece of work, or a milestone.
 *
 * @param id       the analyst's own code, unique in the plan
 * @param wbs      the branch it belongs to
 * @param duration planned duration; zero for a milestone
 * @param calendar id of the calendar it is worked in
 * @param estimate how uncertain the duration is; certain where there is none
 */
public record Activity(
        String id,
        String wbs,
        String name,
        ActivityKind kind,
        WorkDuration duration,
        String calendar,
        Optional<Constraint> constraint,
        Optional<Estimate> estimate) {

    public Activity withEstimate(Optional<Estimate> other) {
        return new Activity(id, wbs, name, kind, duration, calendar, constraint, other);
    }

    /** What a day of its duration or estimate is, in minutes: of its calendar, or of the clock where it ignores that. */
    public double minutesPerDay(CalendarDefinition own) {
        return (duration.isElapsed() ? 24 : own.hoursPerDay()) * 60;
    }

    public boolean isMilestone() {
        return kind == ActivityKind.MILESTONE;
    }
}
