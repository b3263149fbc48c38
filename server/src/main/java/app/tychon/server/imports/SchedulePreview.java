package app.tychon.server.imports;

import app.tychon.exchange.table.CellProblem;
import jakarta.annotation.Nullable;
import java.time.LocalDateTime;
import java.util.List;

/**
 * What a table would become, before anything of it is kept.
 *
 * @param columns in the table's order
 * @param sample the first rows, as they are
 * @param rows how many there are
 * @param problems the first of them; with any, the table cannot be taken over
 * @param problemCount how many there are
 * @param ranges activities with a range of their own
 * @param finish when the plan would finish; absent where there are problems
 */
record SchedulePreview(
        List<Column> columns,
        List<SampleRow> sample,
        int rows,
        List<CellProblem> problems,
        int problemCount,
        int activities,
        int links,
        int ranges,
        @Nullable LocalDateTime finish) {

    /**
     * A column of the table.
     *
     * @param meaning what it is taken to say; absent where it is left out
     */
    record Column(String header, @Nullable String meaning) {}

    /**
     * A row of the table, a cell for every column.
     *
     * @param row as the file counts them
     */
    record SampleRow(int row, List<String> cells) {}
}
