package app.tychon.server.briefs;

import app.tychon.brief.blocks.Grid;
import app.tychon.exchange.table.Sheet;
import app.tychon.exchange.table.Sheet.Column;
import app.tychon.exchange.table.Sheet.Line;
import java.util.List;
import java.util.Optional;

/** Tables of briefs to be written as files. */
final class BriefSheets {
    private static final int WIDEST = 60;
    private static final int NARROWEST = 10;
    /** The name of a sheet has at most so many characters. */
    private static final int LONGEST_TITLE = 31;

    private BriefSheets() {}

    static Sheet of(String heading, Grid grid) {
        List<Column> columns = grid.columns().stream()
                .map(column -> new Column(
                        column.name(),
                        Math.max(NARROWEST, Math.min(WIDEST, column.name().length() + 8))))
                .toList();
        List<Line> lines = grid.rows().stream()
                .map(row ->
                        new Line(false, 1, row.stream().map(BriefSheets::cell).toList()))
                .toList();
        String title = heading.length() > LONGEST_TITLE ? heading.substring(0, LONGEST_TITLE) : heading;
        return new Sheet(title, columns, 1, 0, lines);
    }

    private static Optional<Object> cell(String text) {
        return text.isEmpty() ? Optional.empty() : Optional.of(text);
    }
}
