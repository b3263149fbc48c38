package app.tychon.exchange.schedule;

import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.EstimateRules;
import app.tychon.core.model.WorkDuration;
import app.tychon.exchange.table.Table.Row;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;

/** The cells of a schedule's row that make an activity, but for its logic. */
final class ActivityCells {
    static final String PROJECT_CALENDAR = "std";

    private final Map<String, CalendarDefinition> calendars = new LinkedHashMap<>();
    private final boolean hasDurations;
    private final ThreePoints points;
    private final ScheduleDates dates;
    private final BiFunction<Row, ScheduleColumn, String> text;
    private final ScheduleDates.Problems problems;

    ActivityCells(
            boolean hasDurations,
            ThreePoints points,
            ScheduleDates dates,
            BiFunction<Row, ScheduleColumn, String> text,
            ScheduleDates.Problems problems) {
        this.hasDurations = hasDurations;
        this.points = points;
        this.dates = dates;
        this.text = text;
        this.problems = problems;
        calendars.put(PROJECT_CALENDAR, PlainWeek.of(PROJECT_CALENDAR, "Five-day week"));
    }

    /** The project's calendar, and those that rows have named so far. */
    List<CalendarDefinition> calendars() {
        return List.copyOf(calendars.values());
    }

    /** An activity of its row's cells. */
    Activity read(Row row, String id, String branch) {
        if (text.apply(row, ScheduleColumn.NAME).isEmpty()) {
            problems.add(row, ScheduleColumn.NAME, "the name is empty");
        }
        ActivityKind kind = kind(row);
        WorkDuration duration = duration(row, kind);
        return Activity.of(
                        id,
                        branch,
                        text.apply(row, ScheduleColumn.NAME),
                        kind == ActivityKind.TASK && duration.amount() == 0 ? ActivityKind.MILESTONE : kind,
                        duration,
                        calendar(row))
                .withEstimate(estimate(row))
                .withConstraint(dates.constraint(row))
                .withProgress(dates.progress(row))
                .withNotes(text.apply(row, ScheduleColumn.NOTES));
    }

    private ActivityKind kind(Row row) {
        String word = text.apply(row, ScheduleColumn.KIND).toLowerCase(Locale.ROOT);
        if (word.contains("milestone")) {
            return ActivityKind.MILESTONE;
        }
        return word.contains("hammock") ? ActivityKind.HAMMOCK : ActivityKind.TASK;
    }

    private WorkDuration duration(Row row, ActivityKind kind) {
        String cell = text.apply(row, ScheduleColumn.DURATION);
        if (kind != ActivityKind.TASK || !hasDurations) {
            return WorkDuration.ZERO;
        }
        Optional<WorkDuration> duration = DurationWords.read(cell);
        if (duration.isEmpty()) {
            problems.add(
                    row,
                    ScheduleColumn.DURATION,
                    cell.isEmpty()
                            ? "the duration is missing"
                            : "\"" + cell + "\" is no duration; write 12d, 4h, 2w, 30min or 3ed");
        } else if (duration.get().amount() < 0) {
            problems.add(row, ScheduleColumn.DURATION, "a duration cannot be below zero; this is " + cell);
        }
        return duration.filter(d -> d.amount() >= 0).orElse(WorkDuration.ZERO);
    }

    /** A calendar is known by its name; one that the project does not have yet begins as a five-day week. */
    private String calendar(Row row) {
        String name = text.apply(row, ScheduleColumn.CALENDAR);
        if (name.isEmpty() || name.equals(calendars.get(PROJECT_CALENDAR).name())) {
            return PROJECT_CALENDAR;
        }
        String id = name.length() <= 60 ? name : name.substring(0, 60);
        calendars.computeIfAbsent(id, i -> PlainWeek.of(i, name));
        return id;
    }

    private Optional<Estimate> estimate(Row row) {
        return points.read(
                EstimateRules.Subject.DURATION,
                Optional.of(calendars.get(calendar(row))),
                text.apply(row, ScheduleColumn.SHAPE),
                text.apply(row, ScheduleColumn.LOW),
                text.apply(row, ScheduleColumn.LIKELY),
                text.apply(row, ScheduleColumn.HIGH),
                (column, message) -> problems.add(row, column, message));
    }
}
