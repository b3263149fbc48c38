package app.tychon.exchange.table;

import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.LagCalendar;
import app.tychon.core.model.Link;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Project;
import app.tychon.core.model.Targets;
import app.tychon.core.model.WorkDuration;
import app.tychon.core.schedule.Network;
import app.tychon.exchange.table.Table.Row;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A schedule out of a table, one activity a row. Every problem is told with its row and column; what could not be read
 * has a harmless stand-in, so that the rest is checked too.
 */
public final class ScheduleReader {
    private final Table table;
    private final Map<ScheduleColumn, Integer> columns;
    private final List<CellProblem> problems = new ArrayList<>();
    private final Map<String, CalendarDefinition> calendars = new LinkedHashMap<>();
    private final Map<String, String> ids = new HashMap<>();
    private Outline outline;

    private ScheduleReader(Table table, Map<ScheduleColumn, Integer> columns) {
        this.table = table;
        this.columns = columns;
    }

    /** A schedule and what is wrong with the table it came from; it can be used only where nothing is. */
    public record Read(Plan plan, List<CellProblem> problems) {
        public Read {
            problems = List.copyOf(problems);
        }
    }

    /**
     * @param name  of the project
     * @param start of the project
     */
    public static Read read(Table table, Map<ScheduleColumn, Integer> columns, String name, LocalDateTime start) {
        return new ScheduleReader(table, columns).read(name, start);
    }

    private Read read(String name, LocalDateTime start) {
        for (ScheduleColumn needed : List.of(ScheduleColumn.NAME, ScheduleColumn.DURATION)) {
            if (!columns.containsKey(needed)) {
                problems.add(new CellProblem(
                        1, needed.title(), "there is no such column among " + String.join(", ", table.header())));
            }
        }
        calendars.put("std", PlainWeek.of("std", "Five-day week"));
        collectIds();
        outline = new Outline(Set.copyOf(ids.values()));
        List<Activity> activities = new ArrayList<>();
        List<Link> links = new ArrayList<>();
        for (Row row : table.rows()) {
            Activity activity = activity(row);
            activities.add(activity);
            links.addAll(PredecessorText.read(
                    text(row, ScheduleColumn.PREDECESSORS),
                    activity.id(),
                    word -> Optional.ofNullable(ids.get(word.toLowerCase(Locale.ROOT))),
                    message -> problem(row, ScheduleColumn.PREDECESSORS, message)));
        }
        Project project = new Project(
                "imported", name, "EUR", start, Optional.empty(), "std", LagCalendar.PREDECESSOR, Targets.NONE);
        Plan plan = Plan.of(project, List.copyOf(calendars.values()), outline.branches(), activities, links);
        if (problems.isEmpty()) {
            check(plan);
        }
        return new Read(plan, problems);
    }

    /** What no cell shows by itself: loops, calendars, names that are too long. */
    private void check(Plan plan) {
        try {
            Network.of(plan);
        } catch (InvalidPlanException e) {
            e.problems().forEach(problem -> tell(plan, problem));
        }
    }

    /** A problem of the plan at the row it came from: that of the activity, or of a link's successor; else the first. */
    private void tell(Plan plan, Problem problem) {
        String[] parts = problem.pointer().split("/");
        String section = parts.length > 2 ? parts[1] : "";
        boolean isLink = section.equals("links");
        int row = 0;
        if (isLink) {
            String successor = plan.links().get(Integer.parseInt(parts[2])).to();
            row = plan.activities().stream().map(Activity::id).toList().indexOf(successor);
        } else if (section.equals("activities")) {
            row = Integer.parseInt(parts[2]);
        }
        problem(
                table.rows().isEmpty() ? new Row(1, List.of()) : table.rows().get(row),
                isLink ? ScheduleColumn.PREDECESSORS : ScheduleColumn.NAME,
                problem.message());
    }

    /** Activities may be named before their row, by id or by the number of the row of the table, from 1. */
    private void collectIds() {
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < table.rows().size(); i++) {
            Row row = table.rows().get(i);
            String id = id(row);
            if (!seen.add(id.toLowerCase(Locale.ROOT))) {
                problem(row, ScheduleColumn.ID, "there is already an activity \"" + id + "\"");
            }
            ids.put(id.toLowerCase(Locale.ROOT), id);
        }
        for (int i = 0; i < table.rows().size(); i++) {
            ids.putIfAbsent(Integer.toString(i + 1), id(table.rows().get(i)));
        }
    }

    private String id(Row row) {
        String id = text(row, ScheduleColumn.ID);
        return id.isEmpty() ? "R" + row.number() : id;
    }

    private Activity activity(Row row) {
        if (text(row, ScheduleColumn.NAME).isEmpty()) {
            problem(row, ScheduleColumn.NAME, "the name is empty");
        }
        ActivityKind kind = kind(row);
        WorkDuration duration = duration(row, kind);
        return Activity.of(
                        id(row),
                        outline.branchOf(text(row, ScheduleColumn.WBS)),
                        text(row, ScheduleColumn.NAME),
                        kind == ActivityKind.TASK && duration.amount() == 0 ? ActivityKind.MILESTONE : kind,
                        duration,
                        calendar(row))
                .withEstimate(estimate(row));
    }

    private ActivityKind kind(Row row) {
        String word = text(row, ScheduleColumn.KIND).toLowerCase(Locale.ROOT);
        if (word.contains("milestone")) {
            return ActivityKind.MILESTONE;
        }
        return word.contains("hammock") ? ActivityKind.HAMMOCK : ActivityKind.TASK;
    }

    private WorkDuration duration(Row row, ActivityKind kind) {
        String text = text(row, ScheduleColumn.DURATION);
        if (kind != ActivityKind.TASK || !columns.containsKey(ScheduleColumn.DURATION)) {
            return WorkDuration.ZERO;
        }
        Optional<WorkDuration> duration = DurationWords.read(text);
        if (duration.isEmpty()) {
            problem(
                    row,
                    ScheduleColumn.DURATION,
                    text.isEmpty()
                            ? "the duration is missing"
                            : "\"" + text + "\" is no duration; write 12d, 4h, 2w, 30min or 3ed");
        } else if (duration.get().amount() < 0) {
            problem(row, ScheduleColumn.DURATION, "a duration cannot be below zero; this is " + text);
        }
        return duration.filter(d -> d.amount() >= 0).orElse(WorkDuration.ZERO);
    }

    /** A calendar is known by its name; one that the project does not have yet begins as a five-day week. */
    private String calendar(Row row) {
        String name = text(row, ScheduleColumn.CALENDAR);
        if (name.isEmpty()) {
            return "std";
        }
        String id = name.length() <= 60 ? name : name.substring(0, 60);
        calendars.computeIfAbsent(id, i -> PlainWeek.of(i, name));
        return id;
    }

    private Optional<Estimate> estimate(Row row) {
        return ThreePoints.read(
                text(row, ScheduleColumn.SHAPE),
                text(row, ScheduleColumn.LOW),
                text(row, ScheduleColumn.LIKELY),
                text(row, ScheduleColumn.HIGH),
                (column, message) -> problem(row, column, message));
    }

    private String text(Row row, ScheduleColumn column) {
        return row.cell(columns.getOrDefault(column, -1));
    }

    private void problem(Row row, ScheduleColumn column, String message) {
        int index = columns.getOrDefault(column, -1);
        String title = index >= 0 && index < table.header().size()
                ? table.header().get(index).strip()
                : column.title();
        problems.add(new CellProblem(row.number(), title, message));
    }
}
