package app.tychon.server.rows;

import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Constraint;
import app.tychon.core.model.Estimates;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Progress;
import app.tychon.core.model.WorkDuration;
import app.tychon.exchange.DurationText;
import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.Words;
import com.fasterxml.jackson.databind.JsonNode;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Collectors;

/** The fields of an activity as an edit gives them. */
final class ActivityFields {
    private final Estimates grades;
    private final Map<String, CalendarDefinition> calendars;

    ActivityFields(Plan plan, Estimates grades) {
        this.grades = grades;
        calendars = plan.calendars().stream().collect(Collectors.toMap(CalendarDefinition::id, Function.identity()));
    }

    /** An activity with what an edit changes of it; what cannot be read is told and stays as it is. */
    Activity apply(Activity activity, RowEdit edit, List<Problem> problems) {
        Reader read = new Reader(problems);
        Activity named = activity.withName(
                        read.given(edit.name(), "/name", JsonCursor::text).orElse(activity.name()))
                .withWbs(read.given(edit.wbs(), "/wbs", JsonCursor::text).orElse(activity.wbs()))
                .withCalendar(
                        read.given(edit.calendar(), "/calendar", this::calendar).orElse(activity.calendar()))
                .withNotes(read.given(edit.notes(), "/notes", JsonCursor::text).orElse(activity.notes()))
                .withCombineRisks(read.given(edit.combineRisks(), "/combineRisks", Words::combineRisks)
                        .orElse(activity.combineRisks()))
                .withWatch(edit.watch() == null ? activity.watch() : edit.watch())
                .withGrade(SpreadFields.grade(edit.grade(), activity.grade(), problems))
                .withEstimate(SpreadFields.estimate(
                        edit, activity.estimate(), grades.gradeOf(activity), Basis.DAYS, problems));
        CalendarDefinition own = calendars.get(named.calendar());
        return lasting(named, edit, read)
                .withConstraint(read.optional(
                        edit.constraint(), "/constraint", at -> constraint(at, own), activity.constraint()))
                .withProgress(progress(activity.progress(), edit, own, read));
    }

    private String calendar(JsonCursor at) {
        String id = at.text();
        if (!calendars.containsKey(id)) {
            at.problem("there is no calendar \"" + id + "\"");
            return calendars.keySet().iterator().next();
        }
        return id;
    }

    /** Kind and duration go together: a duration makes a milestone a task, none makes a task a milestone. */
    private static Activity lasting(Activity activity, RowEdit edit, Reader read) {
        Optional<WorkDuration> duration = read.given(edit.duration(), "/duration", DurationText::read);
        Optional<ActivityKind> kind = read.given(edit.kind(), "/kind", Words::kind);
        if (kind.isPresent()) {
            boolean timeless = kind.get() != ActivityKind.TASK;
            WorkDuration worked = activity.duration().amount() == 0 ? WorkDuration.days(1) : activity.duration();
            return activity.withKind(kind.get()).withDuration(timeless ? WorkDuration.ZERO : duration.orElse(worked));
        }
        if (duration.isEmpty() || activity.isHammock()) {
            return duration.map(activity::withDuration).orElse(activity);
        }
        return activity.withDuration(duration.get())
                .withKind(duration.get().amount() == 0 ? ActivityKind.MILESTONE : ActivityKind.TASK);
    }

    private static Constraint constraint(JsonCursor at, CalendarDefinition calendar) {
        at.allow(Set.of("type", "date"));
        var type = Words.constraint(at.get("type"));
        BiFunction<JsonCursor, CalendarDefinition, LocalDateTime> date =
                type.onStart() ? WorkingDay::start : WorkingDay::finish;
        return new Constraint(type, date.apply(at.get("date"), calendar));
    }

    private static Progress progress(Progress now, RowEdit edit, CalendarDefinition calendar, Reader read) {
        return new Progress(
                read.optional(
                        edit.actualStart(), "/actualStart", at -> WorkingDay.start(at, calendar), now.actualStart()),
                read.optional(
                        edit.actualFinish(),
                        "/actualFinish",
                        at -> WorkingDay.finish(at, calendar),
                        now.actualFinish()),
                read.optional(edit.remaining(), "/remaining", DurationText::read, now.remaining()));
    }

    /** Fields that may be absent, given, or given as nothing. */
    private record Reader(List<Problem> problems) {
        <T> Optional<T> given(JsonNode node, String pointer, Function<JsonCursor, T> reader) {
            return Optional.ofNullable(node).map(value -> reader.apply(JsonCursor.at(value, pointer, problems)));
        }

        <T> Optional<T> optional(JsonNode node, String pointer, Function<JsonCursor, T> reader, Optional<T> now) {
            if (node == null) {
                return now;
            }
            return node.isNull() ? Optional.empty() : given(node, pointer, reader);
        }
    }
}
