package app.tychon.core.model;

import io.soabase.recordbuilder.core.RecordBuilder;
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
 * @param watch        whether every run keeps all its sampled values, and a run until steady waits for its finish too
 * @param notes        what else is to be said of it; empty for nothing
 */
@RecordBuilder
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
        String notes)
        implements ActivityBuilder.With {

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
