package app.tychon.exchange.table;

import java.util.List;

/** Rows of text under a header. A row may be shorter than the header; what is missing is empty. */
public record Table(List<String> header, List<Row> rows) {
    public Table {
        header = List.copyOf(header);
        rows = List.copyOf(rows);
    }

    /**
     * A row of cells.
     *
     * @param number as the file counts them, the header being 1 or more
     */
    public record Row(int number, List<String> cells) {
        public Row {
            cells = List.copyOf(cells);
        }

        /** The text of a cell without blanks around it; empty where there is none. */
        public String cell(int column) {
            return column >= 0 && column < cells.size() ? cells.get(column).strip() : "";
        }

        /** Blanks before the text of a cell. */
        public int indent(int column) {
            String text = column >= 0 && column < cells.size() ? cells.get(column) : "";
            return text.length() - text.stripLeading().length();
        }

        boolean isBlank() {
            return cells.stream().allMatch(String::isBlank);
        }
    }
}
