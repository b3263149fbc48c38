package app.tychon.core.model;

import java.util.Optional;

/**
 * A piece of work, a milestone or a hammock.
 *
 * @param id           the analyst's own code, unique in the plan
 * @param wbs          the branch it belongs to
 * @param duration     planned duration; zero for milestones and hammocks
 * @param calendar     id of the calendar it is worked in
 * @param progress     what of it has happened by the data date
 * @param grade        id of the grade of spread it has of its own; where it has none, that of its branch counts
 * @param estimate     how uncertain the duration is; goes before any grade
 * @param combineRisks how several risks that strike it in one iteration work together
 * @param watch        whether all its sampled values are kept
 * @param notes        what else is to be said of it; empty for nothing
 */
public record Activity(
        String id,
        String wbs,
        String name,
        ActivityKind kind,
        WorkDuration duration,
        String calendar,
        Optional<Constraint> constraint,
        Progress progress,
        Optional<String> grade,
        Optional<Estimate> estimate,
        CombineRisks combineRisks,
        boolean watch,
        String notes) {

    /** An activity without constraint, progress or spread. */
    public static Activity of(
            String id, String wbs, String name, ActivityKind kind, WorkDuration duration, String calendar) {
        return new Activity(
                id,
                wbs,
                name,
                kind,
                duration,
                calendar,
                Optional.empty(),
                Progress.NONE,
                Optional.empty(),
                Optional.empty(),
                CombineRisks.ADD,
                false,
                "");
    }

    public Activity withId(String other) {
        return new Activity(
                other,
                wbs,
                name,
                kind,
                duration,
                calendar,
                constraint,
                progress,
                grade,
                estimate,
                combineRisks,
                watch,
                notes);
    }

    public Activity withWbs(String other) {
        return new Activity(
                id,
                other,
                name,
                kind,
                duration,
                calendar,
                constraint,
                progress,
                grade,
                estimate,
                combineRisks,
                watch,
                notes);
    }

    public Activity withKind(ActivityKind other) {
        return new Activity(
                id,
                wbs,
                name,
                other,
                duration,
                calendar,
                constraint,
                progress,
                grade,
                estimate,
                combineRisks,
                watch,
                notes);
    }

    public Activity withCalendar(String other) {
        return new Activity(
                id,
                wbs,
                name,
                kind,
                duration,
                other,
                constraint,
                progress,
                grade,
                estimate,
                combineRisks,
                watch,
                notes);
    }

    public Activity withNotes(String other) {
        return new Activity(
                id,
                wbs,
                name,
                kind,
                duration,
                calendar,
                constraint,
                progress,
                grade,
                estimate,
                combineRisks,
                watch,
                other);
    }

    public Activity withName(String other) {
        return new Activity(
                id,
                wbs,
                other,
                kind,
                duration,
                calendar,
                constraint,
                progress,
                grade,
                estimate,
                combineRisks,
                watch,
                notes);
    }

    public Activity withDuration(WorkDuration other) {
        return new Activity(
                id,
                wbs,
                name,
                kind,
                other,
                calendar,
                constraint,
                progress,
                grade,
                estimate,
                combineRisks,
                watch,
                notes);
    }

    public Activity withConstraint(Optional<Constraint> other) {
        return new Activity(
                id, wbs, name, kind, duration, calendar, other, progress, grade, estimate, combineRisks, watch, notes);
    }

    public Activity withProgress(Progress other) {
        return new Activity(
                id,
                wbs,
                name,
                kind,
                duration,
                calendar,
                constraint,
                other,
                grade,
                estimate,
                combineRisks,
                watch,
                notes);
    }

    public Activity withGrade(Optional<String> other) {
        return new Activity(
                id,
                wbs,
                name,
                kind,
                duration,
                calendar,
                constraint,
                progress,
                other,
                estimate,
                combineRisks,
                watch,
                notes);
    }

    public Activity withEstimate(Optional<Estimate> other) {
        return new Activity(
                id,
                wbs,
                name,
                kind,
                duration,
                calendar,
                constraint,
                progress,
                grade,
                other,
                combineRisks,
                watch,
                notes);
    }

    public Activity withCombineRisks(CombineRisks other) {
        return new Activity(
                id, wbs, name, kind, duration, calendar, constraint, progress, grade, estimate, other, watch, notes);
    }

    /** Whether all its sampled values are kept by every run, and a run until steady waits for its finish too. */
    public Activity withWatch(boolean other) {
        return new Activity(
                id,
                wbs,
                name,
                kind,
                duration,
                calendar,
                constraint,
                progress,
                grade,
                estimate,
                combineRisks,
                other,
                notes);
    }

    /** What a day of its duration or estimate is, in minutes: of its calendar, or of the clock where it ignores that. */
    public double minutesPerDay(CalendarDefinition own) {
        return (duration.isElapsed() ? 24 : own.hoursPerDay()) * 60;
    }

    /** What one unit of an estimate of its duration is, in minutes of its own time. */
    public double minutesEach(Basis basis, CalendarDefinition own) {
        return switch (basis) {
            case FACTOR -> duration.minutes(own);
            case HOURS -> 60;
            default -> minutesPerDay(own);
        };
    }

    public boolean isMilestone() {
        return kind == ActivityKind.MILESTONE;
    }

    public boolean isHammock() {
        return kind == ActivityKind.HAMMOCK;
    }
}
