package app.tychon.exchange.ranges;

import app.tychon.core.model.Activity;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.EstimateRules;
import app.tychon.core.model.EstimateRules.Subject;
import app.tychon.core.model.Grade;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.WbsNode;
import app.tychon.exchange.EstimateJson;
import app.tychon.exchange.JsonText;
import app.tychon.exchange.schedule.ScheduleColumn;
import app.tychon.exchange.schedule.ThreePoints;
import app.tychon.exchange.table.CellProblem;
import app.tychon.exchange.table.Headings;
import app.tychon.exchange.table.Table;
import app.tychon.exchange.table.Table.Row;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Reads ranges for the rows of a plan, which are known by their ids. A column that is not there leaves what it would say
 * as it is; an empty cell of one that is there takes it away.
 */
public final class RangeReader {
    private final Table table;
    private final Map<ScheduleColumn, Integer> columns;
    private final int gradeColumn;
    private final int parameterColumn;
    private final Map<String, Spread> known = new HashMap<>();
    private final Map<String, String> grades = new HashMap<>();
    /** By activity. */
    private final Map<String, CalendarDefinition> calendars = new HashMap<>();

    private final List<Spread> spreads = new ArrayList<>();
    private final List<CellProblem> problems = new ArrayList<>();

    private RangeReader(Table table, Plan plan) {
        this.table = table;
        columns = ScheduleColumn.guess(table.header());
        Map<RangeColumn, Integer> own = Headings.guess(RangeColumn.class, table.header());
        gradeColumn = own.getOrDefault(RangeColumn.GRADE, -1);
        parameterColumn = own.getOrDefault(RangeColumn.PARAMETERS, -1);
        Map<String, CalendarDefinition> byId =
                plan.calendars().stream().collect(Collectors.toMap(CalendarDefinition::id, Function.identity()));
        for (Activity a : plan.activities()) {
            calendars.put(a.id(), byId.get(a.calendar()));
            known.put(a.id(), new Spread(a.id(), a.name(), Kind.ACTIVITY, a.grade(), a.estimate()));
        }
        for (CostLine c : plan.costs()) {
            known.put(c.id(), new Spread(c.id(), c.name(), Kind.COST, c.grade(), c.estimate()));
        }
        for (WbsNode b : plan.wbs()) {
            known.put(b.id(), new Spread(b.id(), b.name(), Kind.BRANCH, b.grade(), Optional.empty()));
        }
        for (Grade grade : plan.grades()) {
            for (String word : List.of(grade.mark(), grade.name(), grade.id())) {
                grades.put(word.toLowerCase(Locale.ROOT), grade.id());
            }
        }
        grades.remove("");
    }

    /** What a row of the plan is. */
    public enum Kind {
        BRANCH,
        ACTIVITY,
        COST
    }

    /** The grade and the estimate a row has of its own. */
    public record Spread(String id, String name, Kind kind, Optional<String> grade, Optional<Estimate> estimate) {}

    /**
     * What a table says.
     *
     * @param before rows that it changes, as they are
     * @param after the same rows as they would be
     * @param problems cells that cannot be understood; nothing is taken over while there is one
     */
    public record Read(List<Spread> before, List<Spread> after, List<CellProblem> problems) {}

    /** How much a row of titles says of ranges. */
    public static int says(List<String> titles) {
        return ScheduleColumn.says(titles)
                + Headings.guess(RangeColumn.class, titles).size();
    }

    public static Read read(Table table, Plan plan) {
        return new RangeReader(table, plan).read();
    }

    private Read read() {
        if (!columns.containsKey(ScheduleColumn.ID)) {
            problems.add(new CellProblem(1, "id", "no column is headed \"Id\" or \"Code\", so no row is known"));
            return new Read(List.of(), List.of(), problems);
        }
        if (gradeColumn < 0 && !saysRanges()) {
            problems.add(
                    new CellProblem(1, "low", "no column is headed \"Low\" and \"High\", \"Grade\" or \"Parameters\""));
        }
        Set<String> seen = new HashSet<>();
        for (Row row : table.rows()) {
            String id = cell(row, ScheduleColumn.ID);
            if (id.isEmpty()) {
                problem(row, ScheduleColumn.ID, "the id is missing");
            } else if (!known.containsKey(id)) {
                problem(row, ScheduleColumn.ID, "the plan has no activity, branch or cost line \"" + id + "\"");
            } else if (!seen.add(id)) {
                problem(row, ScheduleColumn.ID, "\"" + id + "\" stands in the table twice");
            } else {
                spreads.add(spread(row, known.get(id)));
            }
        }
        List<Spread> after =
                spreads.stream().filter(s -> !s.equals(known.get(s.id()))).toList();
        return new Read(after.stream().map(s -> known.get(s.id())).toList(), after, problems);
    }

    private boolean saysRanges() {
        return parameterColumn >= 0
                || columns.containsKey(ScheduleColumn.LOW) && columns.containsKey(ScheduleColumn.HIGH);
    }

    private Spread spread(Row row, Spread now) {
        Optional<String> grade = gradeColumn < 0 ? now.grade() : grade(row);
        boolean silent = !saysRanges() || now.kind() == Kind.BRANCH;
        return new Spread(
                now.id(), now.name(), now.kind(), grade, silent ? now.estimate() : estimate(row, now.id(), now.kind()));
    }

    private Optional<String> grade(Row row) {
        String word = row.cell(gradeColumn);
        Optional<String> grade = Optional.ofNullable(grades.get(word.toLowerCase(Locale.ROOT)));
        if (!word.isEmpty() && grade.isEmpty()) {
            problems.add(new CellProblem(row.number(), "grade", "the project has no grade \"" + word + "\""));
        }
        return grade;
    }

    private Optional<Estimate> estimate(Row row, String id, Kind kind) {
        Subject subject = kind == Kind.COST ? Subject.COST : Subject.DURATION;
        String parameters = row.cell(parameterColumn);
        if (!parameters.isEmpty()) {
            return parameters(row, parameters, subject);
        }
        String shape = cell(row, ScheduleColumn.SHAPE);
        String low = cell(row, ScheduleColumn.LOW);
        String high = cell(row, ScheduleColumn.HIGH);
        if ((shape.equalsIgnoreCase("certain") || shape.equalsIgnoreCase("fixed")) && low.isEmpty() && high.isEmpty()) {
            return Optional.of(Estimate.AS_PLANNED);
        }
        return ThreePoints.of(table.header(), columns)
                .read(
                        subject,
                        subject == Subject.COST ? Optional.empty() : Optional.ofNullable(calendars.get(id)),
                        shape,
                        low,
                        cell(row, ScheduleColumn.LIKELY),
                        high,
                        (column, message) -> problem(row, column, message));
    }

    private Optional<Estimate> parameters(Row row, String text, Subject subject) {
        Basis usual = subject == Subject.COST ? Basis.MONEY : Basis.DAYS;
        try {
            Estimate estimate = JsonText.read(text, at -> EstimateJson.read(at, usual));
            EstimateRules.problems(estimate, subject).forEach(p -> parameterProblem(row, p.toString()));
            return Optional.of(estimate);
        } catch (InvalidPlanException e) {
            e.problems().forEach(p -> parameterProblem(row, p.toString()));
            return Optional.empty();
        }
    }

    private void parameterProblem(Row row, String message) {
        problems.add(new CellProblem(row.number(), "parameters", message));
    }

    private String cell(Row row, ScheduleColumn column) {
        return row.cell(columns.getOrDefault(column, -1));
    }

    private void problem(Row row, ScheduleColumn column, String message) {
        problems.add(new CellProblem(row.number(), column.title(), message));
    }
}
