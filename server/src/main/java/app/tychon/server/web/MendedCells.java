package app.tychon.server.web;

import app.tychon.exchange.table.Table;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Cells of a table that were typed anew where it was looked over; the file itself stays as it is. */
public final class MendedCells {
    private static final Pattern LINE = Pattern.compile("(\\d{1,7}):(\\d{1,3}):(.{0,4000})");
    private static final int MOST = 500;

    private MendedCells() {}

    /**
     * The table with other texts in some of its cells.
     *
     * @param mended a line for each: the row as the file counts them, the column from 0, and the text, with colons between
     * @throws IllegalArgumentException for what is no such line, or a row that is not there
     */
    public static Table in(Table table, String mended) {
        if (mended.isEmpty()) {
            return table;
        }
        Map<Integer, Map<Integer, String>> texts = new HashMap<>();
        List<String> lines = mended.lines().toList();
        if (lines.size() > MOST) {
            throw new IllegalArgumentException("At most " + MOST + " cells can be mended here; mend the file itself.");
        }
        for (String line : lines) {
            Matcher parts = LINE.matcher(line);
            if (!parts.matches()
                    || Integer.parseInt(parts.group(2)) >= table.header().size()) {
                throw new IllegalArgumentException("\"" + line + "\" names no cell of the table.");
            }
            texts.computeIfAbsent(Integer.parseInt(parts.group(1)), row -> new HashMap<>())
                    .put(Integer.parseInt(parts.group(2)), parts.group(3));
        }
        return new Table(
                table.header(),
                table.rows().stream()
                        .map(row -> texts.containsKey(row.number()) ? with(row, texts.get(row.number())) : row)
                        .toList());
    }

    private static Table.Row with(Table.Row row, Map<Integer, String> texts) {
        List<String> cells = new ArrayList<>(row.cells());
        texts.forEach((column, text) -> {
            while (cells.size() <= column) {
                cells.add("");
            }
            cells.set(column, text);
        });
        return new Table.Row(row.number(), cells);
    }
}
