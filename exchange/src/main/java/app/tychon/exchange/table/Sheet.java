package app.tychon.exchange.table;

import java.util.List;
import java.util.Optional;

/**
 * A table to be written for people: a spreadsheet, or text.
 *
 * @param frozen how many columns stay in view
 * @param name which column holds the names, which are indented by level
 */
public record Sheet(String title, List<Column> columns, int frozen, int name, List<Line> lines) {
    public Sheet {
        columns = List.copyOf(columns);
        lines = List.copyOf(lines);
    }

    /** The name of a sheet has at most so many characters. */
    private static final int LONGEST_TITLE = 31;

    private static final int WIDEST = 48;
    private static final int NARROWEST = 10;

    /**
     * A plain table: no row above another, the first column in view.
     *
     * @param rows texts, numbers and dates as such, null where there is nothing
     */
    public static Sheet plain(String title, List<String> columns, List<List<Object>> rows) {
        return new Sheet(
                title.length() > LONGEST_TITLE ? title.substring(0, LONGEST_TITLE) : title,
                columns.stream()
                        .map(name -> new Column(name, Math.max(NARROWEST, Math.min(WIDEST, name.length() + 4))))
                        .toList(),
                1,
                0,
                rows.stream()
                        .map(row -> new Line(
                                false, 1, row.stream().map(Optional::ofNullable).toList()))
                        .toList());
    }

    /** @param width in characters */
    public record Column(String title, int width) {}

    /**
     * A row: texts, numbers and dates as such, empty where there is nothing.
     *
     * @param branch whether it stands out as the head of those beneath
     * @param level how deep it lies, from 1
     */
    public record Line(boolean branch, int level, List<Optional<Object>> cells) {}
}
