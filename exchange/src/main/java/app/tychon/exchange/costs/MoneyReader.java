package app.tychon.exchange.costs;

import app.tychon.core.model.Grade;
import app.tychon.core.model.Plan;
import app.tychon.exchange.table.CellProblem;
import app.tychon.exchange.table.DateWords;
import app.tychon.exchange.table.Headings;
import app.tychon.exchange.table.Table;
import app.tychon.exchange.table.Table.Row;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Reads cost lines, resources or funding out of a table: for each row the fields that it gives, as edits take them. Rows are
 * known by their codes, else by their names; steps of funding by their days. A column that is not there leaves what it would
 * say as it is.
 */
public final class MoneyReader {
    /** Fields that an empty cell takes away; elsewhere it says nothing. */
    private static final Set<MoneyColumn> EMPTIED = Set.of(
            MoneyColumn.CATEGORY,
            MoneyColumn.PER_DAY,
            MoneyColumn.SPENT,
            MoneyColumn.TO_GO,
            MoneyColumn.LIMIT,
            MoneyColumn.WORK);

    private final Table table;
    private final Plan plan;
    private final Map<MoneyColumn, Integer> columns;
    private final MoneySubject subject;
    private final DateWords dates;
    /** Name of each row there is by its code. */
    private final Map<String, String> there = new LinkedHashMap<>();

    private final List<Line> lines = new ArrayList<>();
    private final List<CellProblem> problems = new ArrayList<>();

    private MoneyReader(Table table, Plan plan) {
        this.table = table;
        this.plan = plan;
        columns = new EnumMap<>(MoneyColumn.class);
        columns.putAll(Headings.guess(MoneyColumn.class, table.header()));
        subject = MoneySubject.of(columns);
        dates = DateWords.of(DateWords.order(
                table.rows().stream().map(row -> cell(row, MoneyColumn.DATE)).toList()));
        switch (subject) {
            case COSTS -> plan.costs().forEach(line -> there.put(line.id(), line.name()));
            case RESOURCES -> plan.resources().forEach(one -> there.put(one.id(), one.name()));
            case FUNDING -> plan.funding().forEach(step -> there.put(step.date().toString(), step.name()));
        }
    }

    /**
     * A row that names something.
     *
     * @param row    as the file counts them
     * @param known  whether the plan has it already
     * @param id     its code; empty where it gets one; of a step of funding its day
     * @param fields the fields it gives, but for grade and range
     * @param grade  id of the grade that it says
     * @param range  in the words of the project file
     */
    public record Line(
            int row,
            boolean known,
            String id,
            String name,
            ObjectNode fields,
            Optional<String> grade,
            Optional<ObjectNode> range) {}

    /**
     * What a table says.
     *
     * @param columns of the table, from 0, by what they say
     * @param gone    codes of what the plan has and the table has not, with their names
     * @param problems cells that cannot be understood
     */
    public record Read(
            MoneySubject subject,
            Map<MoneyColumn, Integer> columns,
            List<Line> lines,
            Map<String, String> gone,
            List<CellProblem> problems) {}

    public static Read read(Table table, Plan plan) {
        return new MoneyReader(table, plan).read();
    }

    private Read read() {
        columns.keySet()
                .removeIf(
                        one -> one != MoneyColumn.CURRENCY && !subject.columns().contains(one));
        MoneyColumn naming = subject == MoneySubject.FUNDING ? MoneyColumn.DATE : MoneyColumn.NAME;
        if (!columns.containsKey(naming) && !columns.containsKey(MoneyColumn.CODE)) {
            problems.add(new CellProblem(
                    1,
                    naming.title(),
                    "no column is headed \"" + naming.title() + "\" or \"Code\", so nothing is known by a name"));
            return new Read(subject, columns, List.of(), Map.of(), problems);
        }
        Set<String> seen = new HashSet<>();
        for (Row row : table.rows()) {
            boolean blank = subject.columns().stream()
                    .allMatch(column -> cell(row, column).isEmpty());
            if (!blank) {
                line(row, seen);
            }
        }
        Map<String, String> gone = new LinkedHashMap<>(there);
        lines.forEach(line -> gone.remove(line.id()));
        return new Read(subject, columns, lines, gone, problems);
    }

    private String cell(Row row, MoneyColumn column) {
        return columns.containsKey(column) ? row.cell(columns.get(column)) : "";
    }

    private void problem(Row row, MoneyColumn column, String message) {
        problems.add(new CellProblem(row.number(), column.title(), message));
    }

    private void line(Row row, Set<String> seen) {
        String currency = cell(row, MoneyColumn.CURRENCY);
        if (!currency.isEmpty() && !currency.equalsIgnoreCase(plan.project().currency())) {
            problem(
                    row,
                    MoneyColumn.CURRENCY,
                    "this is in " + currency + "; amounts of this project are in "
                            + plan.project().currency() + ", so convert it first");
        }
        Optional<String> id = subject == MoneySubject.FUNDING ? day(row) : code(row);
        if (id.isEmpty()) {
            return;
        }
        if (!id.get().isEmpty() && !seen.add(id.get())) {
            problem(row, subject.columns().get(0), "\"" + id.get() + "\" stands in the table twice");
            return;
        }
        ObjectNode fields = JsonNodeFactory.instance.objectNode();
        for (MoneyColumn column : columns.keySet()) {
            String text = cell(row, column);
            boolean own = column == MoneyColumn.CODE
                    || column == MoneyColumn.GRADE
                    || column == MoneyColumn.RANGE
                    || column == MoneyColumn.DATE
                    || column == MoneyColumn.CURRENCY;
            if (!own && (!text.isEmpty() || EMPTIED.contains(column))) {
                fields.put(column.field(), text);
            }
        }
        lines.add(new Line(
                row.number(),
                there.containsKey(id.get()),
                id.get(),
                cell(row, MoneyColumn.NAME),
                fields,
                grade(row),
                range(row)));
    }

    private Optional<String> day(Row row) {
        String text = cell(row, MoneyColumn.DATE);
        Optional<String> day = dates.read(text).map(moment -> moment.day().toString());
        if (day.isEmpty()) {
            problem(row, MoneyColumn.DATE, "\"" + text + "\" is no date; one reads as 2027-03-01");
        }
        return day;
    }

    /** The code of what a row names: one of the plan's by code or by name, or another, or none yet. */
    private Optional<String> code(Row row) {
        String code = cell(row, MoneyColumn.CODE);
        String name = cell(row, MoneyColumn.NAME);
        Map<String, String> small = new HashMap<>();
        there.forEach((id, called) -> small.putIfAbsent("=" + small(called), id));
        there.keySet().forEach(id -> small.put(small(id), id));
        String known = code.isEmpty() ? small.get("=" + small(name)) : small.get(small(code));
        return Optional.of(known == null ? code : known);
    }

    private static String small(String text) {
        return text.strip().toLowerCase(Locale.ROOT);
    }

    private Optional<String> grade(Row row) {
        String text = cell(row, MoneyColumn.GRADE);
        if (text.isEmpty()) {
            return Optional.empty();
        }
        Optional<String> found = plan.grades().stream()
                .filter(one ->
                        small(one.id()).equals(small(text)) || small(one.name()).equals(small(text)))
                .map(Grade::id)
                .findFirst();
        if (found.isEmpty()) {
            problem(row, MoneyColumn.GRADE, "there is no grade \"" + text + "\"");
        }
        return found;
    }

    private Optional<ObjectNode> range(Row row) {
        String text = cell(row, MoneyColumn.RANGE);
        if (text.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(RangeCell.read(text, plan.project().currency()));
        } catch (IllegalArgumentException e) {
            problem(row, MoneyColumn.RANGE, e.getMessage());
            return Optional.empty();
        }
    }
}
