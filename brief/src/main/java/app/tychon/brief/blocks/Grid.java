package app.tychon.brief.blocks;

import app.tychon.exchange.table.Sheet;
import java.util.Arrays;
import java.util.List;

/** A table of a brief. */
public record Grid(List<Column> columns, List<List<String>> rows) {
    /** @param isNumber whether it is set to the right */
    public record Column(String name, boolean isNumber) {}

    public Grid {
        columns = List.copyOf(columns);
        rows = rows.stream().map(List::copyOf).toList();
    }

    /** As a file is made of it. */
    public Sheet sheet(String title) {
        return Sheet.plain(
                title,
                columns.stream().map(Column::name).toList(),
                rows.stream()
                        .map(row -> row.stream()
                                .map(text -> text.isEmpty() ? null : (Object) text)
                                .toList())
                        .toList());
    }

    /** Columns by their names; those of numbers begin with a hash. */
    static Grid of(List<List<String>> rows, String... names) {
        return new Grid(
                Arrays.stream(names)
                        .map(name ->
                                name.startsWith("#") ? new Column(name.substring(1), true) : new Column(name, false))
                        .toList(),
                rows);
    }
}
