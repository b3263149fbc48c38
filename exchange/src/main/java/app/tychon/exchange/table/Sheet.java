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
