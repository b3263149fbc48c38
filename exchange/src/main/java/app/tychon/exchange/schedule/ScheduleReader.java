package app.tychon.exchange.schedule;

import app.tychon.core.model.Activity;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.LagCalendar;
import app.tychon.core.model.Link;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Project;
import app.tychon.core.model.Targets;
import app.tychon.core.schedule.Network;
import app.tychon.exchange.table.CellProblem;
import app.tychon.exchange.table.DateWords;
import app.tychon.exchange.table.Table;
import app.tychon.exchange.table.Table.Row;
import java.time.LocalDateTime;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A schedule out of a table, one activity a row. Every problem is told with its row and column; what could not be read
 * has a harmless stand-in, so that the rest is checked too.
 */
public final class ScheduleReader {
    private final Table table;
    private final Map<ScheduleColumn, Integer> columns;
    private final List<CellProblem> problems = new ArrayList<>();
    private final Map<String, String> ids = new HashMap<>();
    private final List<CellProblem> notes = new ArrayList<>();
    private final Map<String, Dated> dates = new HashMap<>();
    private final Set<String> branchIds = new HashSet<>();
    /** The row of each activity. */
    private final List<Row> rows = new ArrayList<>();

    private final ScheduleDates dateCells;
    private final ActivityCells cells;
    private final Optional<Levels> levels;
    private Outline outline;

    private ScheduleReader(Table table, Map<ScheduleColumn, Integer> columns, Optional<DateWords.Order> order) {
        this.table = table;
        this.columns = columns;
        levels = Levels.of(table, columns);
        dateCells = new ScheduleDates(
                order.orElseGet(() -> ScheduleDates.order(table, columns)), this::text, this::problem);
        cells = new ActivityCells(
                columns.containsKey(ScheduleColumn.DURATION),
                ThreePoints.of(table.header(), columns),
                dateCells,
                this::text,
                this::problem);
    }

    /**
     * A schedule and what is wrong with the table it came from; it can be used only where nothing is.
     *
     * @param notes what was left out of it without harm
     * @param dates those of the table, by activity
     */
    public record Read(Plan plan, List<CellProblem> problems, List<CellProblem> notes, Map<String, Dated> dates) {
        public Read {
            problems = List.copyOf(problems);
            notes = List.copyOf(notes);
            dates = Map.copyOf(dates);
        }
    }

    /** The dates a table has for an activity. */
    public record Dated(Optional<DateWords.Moment> start, Optional<DateWords.Moment> finish) {}

    /**
     * @param name  of the project
     * @param start of the project
     */
    public static Read read(Table table, Map<ScheduleColumn, Integer> columns, String name, LocalDateTime start) {
        return read(table, columns, name, start, Optional.empty(), Optional.empty());
    }

    /**
     * @param dataDate up to which the table reports progress
     * @param order    in which the table's dates are written; recognised where it is not said
     */
    public static Read read(
            Table table,
            Map<ScheduleColumn, Integer> columns,
            String name,
            LocalDateTime start,
            Optional<LocalDateTime> dataDate,
            Optional<DateWords.Order> order) {
        return new ScheduleReader(table, columns, order).read(name, start, dataDate);
    }

    private Read read(String name, LocalDateTime start, Optional<LocalDateTime> dataDate) {
        for (ScheduleColumn needed : List.of(ScheduleColumn.NAME, ScheduleColumn.DURATION)) {
            if (!columns.containsKey(needed)) {
                problems.add(new CellProblem(
                        1, needed.title(), "there is no such column among " + String.join(", ", table.header())));
            }
        }
        collectIds();
        for (int i = 0; i < table.rows().size(); i++) {
            if (isBranch(i)) {
                branchIds.add(id(table.rows().get(i)));
            }
        }
        outline = new Outline(Set.copyOf(ids.values()));
        List<Activity> activities = new ArrayList<>();
        List<Link> links = new ArrayList<>();
        Deque<Integer> above = new ArrayDeque<>();
        for (int i = 0; i < table.rows().size(); i++) {
            Row row = table.rows().get(i);
            Optional<String> parent = parent(above, i);
            if (isBranch(i)) {
                outline.branch(id(row), parent, text(row, ScheduleColumn.NAME));
                above.push(i);
                leftOut(row);
                continue;
            }
            String branch =
                    parent.orElseGet(() -> outline.branchOf(levels.isPresent() ? "" : text(row, ScheduleColumn.WBS)));
            Activity activity = cells.read(row, id(row), branch);
            rows.add(row);
            activities.add(activity);
            dates.put(activity.id(), dateCells.planned(row));
            links.addAll(PredecessorText.read(
                    text(row, ScheduleColumn.PREDECESSORS),
                    activity.id(),
                    word -> known(word, row),
                    message -> problem(row, ScheduleColumn.PREDECESSORS, message)));
        }
        links.removeIf(link -> branchIds.contains(link.from()));
        Project project = new Project(
                "imported",
                name,
                "EUR",
                start,
                dataDate(activities, dataDate),
                ActivityCells.PROJECT_CALENDAR,
                LagCalendar.PREDECESSOR,
                Targets.NONE);
        Plan plan = Plan.of(project, cells.calendars(), outline.branches(), activities, links);
        if (problems.isEmpty()) {
            check(plan);
        }
        return new Read(plan, problems, notes.stream().distinct().toList(), dates);
    }

    private boolean isBranch(int row) {
        return levels.filter(l -> l.isBranch(row)).isPresent();
    }

    /** The branch a row lies in by its depth; those above that are no deeper are closed by it. */
    private Optional<String> parent(Deque<Integer> above, int row) {
        if (levels.isEmpty()) {
            return Optional.empty();
        }
        Levels depths = levels.get();
        while (!above.isEmpty() && depths.depth(above.peek()) >= depths.depth(row)) {
            above.pop();
        }
        return Optional.ofNullable(above.peek()).map(i -> id(table.rows().get(i)));
    }

    /** Logic stands between activities; what a branch's row says of it is told, not taken over. */
    private void leftOut(Row row) {
        if (!text(row, ScheduleColumn.PREDECESSORS).isEmpty()) {
            notes.add(new CellProblem(
                    row.number(),
                    title(ScheduleColumn.PREDECESSORS),
                    "this row is a branch; its links are left out, since only activities have logic"));
        }
    }

    /** The id a word names; a link from a branch is told and left out. */
    private Optional<String> known(String word, Row row) {
        Optional<String> id = Optional.ofNullable(ids.get(word.toLowerCase(Locale.ROOT)));
        id.filter(branchIds::contains)
                .ifPresent(branch -> notes.add(new CellProblem(
                        row.number(),
                        title(ScheduleColumn.PREDECESSORS),
                        "\"" + branch + "\" is a branch; the link from it is left out")));
        return id;
    }

    /** Where progress is reported and nobody said up to when, it is the last of the dates reported. */
    private static Optional<LocalDateTime> dataDate(List<Activity> activities, Optional<LocalDateTime> said) {
        return said.or(() -> activities.stream()
                .flatMap(a -> Stream.concat(a.progress().actualStart().stream(), a.progress().actualFinish().stream()))
                .max(LocalDateTime::compareTo));
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
                rows.isEmpty() ? new Row(1, List.of()) : rows.get(row),
                isLink ? ScheduleColumn.PREDECESSORS : column(parts.length > 3 ? parts[3] : ""),
                problem.message());
    }

    /** The column in which a field of an activity stands. */
    private static ScheduleColumn column(String field) {
        return switch (field) {
            case "id" -> ScheduleColumn.ID;
            case "duration" -> ScheduleColumn.DURATION;
            case "calendar" -> ScheduleColumn.CALENDAR;
            case "actualStart" -> ScheduleColumn.ACTUAL_START;
            case "actualFinish" -> ScheduleColumn.ACTUAL_FINISH;
            case "remaining" -> ScheduleColumn.REMAINING;
            case "constraint" -> ScheduleColumn.CONSTRAINT_DATE;
            default -> ScheduleColumn.NAME;
        };
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

    private String text(Row row, ScheduleColumn column) {
        return row.cell(columns.getOrDefault(column, -1));
    }

    private void problem(Row row, ScheduleColumn column, String message) {
        problems.add(new CellProblem(row.number(), title(column), message));
    }

    /** The header of a column, or the word for it where there is none. */
    private String title(ScheduleColumn column) {
        int index = columns.getOrDefault(column, -1);
        return index >= 0 && index < table.header().size()
                ? table.header().get(index).strip()
                : column.title();
    }
}
