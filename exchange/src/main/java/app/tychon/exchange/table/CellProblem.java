package app.tychon.exchange.table;

/**
 * Something a table's cell says that cannot be taken over.
 *
 * @param row    as the file counts them
 * @param column its header
 */
public record CellProblem(int row, String column, String message) {
    @Override
    public String toString() {
        return "row " + row + ", " + column + ": " + message;
    }
}
