package app.tychon.exchange.schedule;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Activity;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Constraint;
import app.tychon.core.model.Link;
import app.tychon.core.model.LinkType;
import app.tychon.core.model.Plan;
import app.tychon.core.model.WbsNode;
import app.tychon.core.schedule.Schedule;
import app.tychon.core.schedule.Schedule.ScheduledActivity;
import app.tychon.exchange.Words;
import app.tychon.exchange.table.Sheet;
import app.tychon.exchange.table.Sheet.Column;
import app.tychon.exchange.table.Sheet.Line;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A plan as the rows of a table that a planner can work with, and that is read back by {@link ScheduleReader}: branches
 * with their level, activities beneath them with logic, dates and progress.
 */
public final class ScheduleSheet {
    private static final List<Column> COLUMNS = List.of(
            new Column("Id", 12),
            new Column("Level", 7),
            new Column("Name", 44),
            new Column("Kind", 11),
            new Column("Duration", 10),
            new Column("Predecessors", 26),
            new Column("Calendar", 22),
            new Column("Start", 17),
            new Column("Finish", 17),
            new Column("Actual start", 17),
            new Column("Actual finish", 17),
            new Column("Remaining", 11),
            new Column("Constraint", 18),
            new Column("Constraint date", 17),
            new Column("Total float", 11),
            new Column("Planned money", 14),
            new Column("Notes", 40));
    private static final int FROZEN = 3;
    private static final int NAME = 2;
    private static final int DURATION = 4;
    private static final int START = 7;
    private static final int FINISH = 8;
    private static final int MONEY = 15;

    private final Plan plan;
    private final Map<String, ScheduledActivity> dates = new HashMap<>();
    private final Map<String, List<Link>> into = new HashMap<>();
    private final Map<String, CalendarDefinition> calendars = new HashMap<>();
    private final List<Line> lines = new ArrayList<>();
    private final BranchTotals totals;

    private ScheduleSheet(Plan plan, Schedule schedule) {
        this.plan = plan;
        totals = BranchTotals.of(plan, schedule);
        schedule.activities().forEach(row -> dates.put(row.id(), row));
        plan.links().forEach(link -> into.computeIfAbsent(link.to(), to -> new ArrayList<>())
                .add(link));
        plan.calendars().forEach(calendar -> calendars.put(calendar.id(), calendar));
    }

    public static Sheet of(Plan plan, Schedule schedule) {
        ScheduleSheet sheet = new ScheduleSheet(plan, schedule);
        sheet.add(Optional.empty(), 1);
        return new Sheet("Schedule", COLUMNS, FROZEN, NAME, sheet.lines);
    }

    private void add(Optional<String> parent, int level) {
        for (WbsNode node : plan.wbs()) {
            if (node.parent().equals(parent)) {
                lines.add(branch(node, level));
                plan.activities().stream()
                        .filter(a -> a.wbs().equals(node.id()))
                        .forEach(a -> lines.add(activity(a, level + 1)));
                add(Optional.of(node.id()), level + 1);
            }
        }
    }

    /** A branch lasts from its first start to its last finish, in working days of the project's calendar. */
    private Line branch(WbsNode node, int level) {
        BranchTotals.Total total = totals.of(node.id());
        List<Optional<Object>> cells = new ArrayList<>();
        cells.add(Optional.of(node.id()));
        cells.add(Optional.of(level));
        cells.add(Optional.of(node.name()));
        cells.add(Optional.of("branch"));
        while (cells.size() < COLUMNS.size()) {
            cells.add(Optional.empty());
        }
        if (total.hasWork()) {
            cells.set(DURATION, Optional.of(Math.round(total.days() * 10) / 10.0 + "d"));
            cells.set(START, Optional.of(Instants.toCivil(total.start())));
            cells.set(FINISH, Optional.of(Instants.toCivil(total.finish())));
        }
        cells.set(MONEY, total.money() == 0 ? Optional.empty() : Optional.of(total.money()));
        return new Line(true, level, cells);
    }

    private Line activity(Activity activity, int level) {
        ScheduledActivity row = dates.get(activity.id());
        CalendarDefinition calendar = calendars.get(activity.calendar());
        double days = row.totalFloat() / activity.minutesPerDay(calendar);
        return new Line(
                false,
                level,
                List.of(
                        Optional.of(activity.id()),
                        Optional.of(level),
                        Optional.of(activity.name()),
                        Optional.of(Words.of(activity.kind())),
                        Optional.of(activity.duration().toString()),
                        text(predecessors(activity.id())),
                        Optional.of(calendar.name()),
                        Optional.of(Instants.toCivil(row.earlyStart())),
                        Optional.of(Instants.toCivil(row.earlyFinish())),
                        date(activity.progress().actualStart()),
                        date(activity.progress().actualFinish()),
                        activity.progress().remaining().map(Object::toString),
                        activity.constraint().map(Constraint::type).map(Words::of),
                        date(activity.constraint().map(Constraint::date)),
                        activity.isHammock() ? Optional.empty() : Optional.of(Math.round(days * 10) / 10.0),
                        totals.own(activity.id()) == 0 ? Optional.empty() : Optional.of(totals.own(activity.id())),
                        text(activity.notes())));
    }

    private static Optional<Object> date(Optional<LocalDateTime> date) {
        return date.map(d -> d);
    }

    private static Optional<Object> text(String text) {
        return text.isEmpty() ? Optional.empty() : Optional.of(text);
    }

    private String predecessors(String id) {
        return String.join(
                "; ",
                into.getOrDefault(id, List.of()).stream()
                        .map(ScheduleSheet::text)
                        .toList());
    }

    /** A link at its successor: A10, or A20FS+3d. */
    private static String text(Link link) {
        if (link.lag().amount() == 0) {
            return link.type() == LinkType.FS ? link.from() : link.from() + link.type();
        }
        return link.from() + link.type() + (link.lag().amount() > 0 ? "+" : "") + link.lag();
    }
}
