package app.tychon.server.web;

import app.tychon.exchange.table.CellProblem;
import app.tychon.exchange.table.Table;
import jakarta.annotation.Nullable;
import java.util.List;
import java.util.Map;

/**
 * What a table would change.
 *
 * @param columns what is read, with the header of its column
 * @param rows    in the table's order
 * @param gone    what the plan has and the table has not
 * @param problems cells that cannot be taken over; nothing is while there is one
 */
public record TablePreview(List<ReadColumn> columns, List<ReadRow> rows, List<GoneRow> gone, List<BadCell> problems) {

    /** @param meaning what it is taken for */
    public record ReadColumn(String header, String meaning) {}

    /**
     * Something that the table names.
     *
     * @param row  as the file counts them
     * @param what new, changed or same; absent while something is wrong with the table
     */
    public record ReadRow(int row, String id, String title, @Nullable String what, List<CellChange> fields) {}

    public record CellChange(String field, String before, String after) {}

    public record GoneRow(String id, String title) {}

    /**
     * A cell that cannot be taken over.
     *
     * @param column of the table, from 0, so that it can be typed anew; -1 where the table has no such column
     * @param text   as it stands there
     */
    public record BadCell(int row, int column, String header, String text, String message) {}

    /** @param columns of the table by what they are called */
    public static List<ReadColumn> columns(Table table, Map<String, Integer> columns) {
        return columns.entrySet().stream()
                .map(e -> new ReadColumn(table.header().get(e.getValue()), e.getKey()))
                .toList();
    }

    /** A problem with the cell as it stands. */
    public static BadCell bad(CellProblem problem, Table table, Map<String, Integer> columns) {
        int column = columns.getOrDefault(problem.column(), -1);
        String text = table.rows().stream()
                .filter(row -> row.number() == problem.row())
                .map(row -> row.cell(column))
                .findFirst()
                .orElse("");
        return new BadCell(problem.row(), column, problem.column(), text, problem.message());
    }
}
