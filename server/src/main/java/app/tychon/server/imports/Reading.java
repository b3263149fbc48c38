package app.tychon.server.imports;

import app.tychon.exchange.schedule.ColumnGuess;
import app.tychon.exchange.schedule.ScheduleColumn;
import app.tychon.exchange.schedule.ScheduleReader;
import app.tychon.exchange.table.DateWords;
import app.tychon.exchange.table.Table;
import app.tychon.server.web.MendedCells;
import app.tychon.server.web.Uploads;
import java.io.IOException;
import java.io.InputStream;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A schedule's table with what it is taken to say.
 *
 * @param order in which its dates are written; recognised where it is not said
 */
record Reading(
        Table table,
        Map<ScheduleColumn, Integer> columns,
        Optional<DateWords.Order> order,
        Optional<LocalDateTime> dataDate) {
    private static final int FIRST_HOUR = 8;

    /**
     * Reads a file.
     *
     * @param meanings words of {@link ScheduleColumn} in the order of the columns, empty for one that is left out; where
     *     there are none, they are guessed
     * @param mended cells typed anew, as {@link MendedCells} has them
     * @throws IllegalArgumentException for a file that is no table, saying what to do
     */
    static Reading of(
            InputStream in,
            List<String> meanings,
            Optional<DateWords.Order> order,
            Optional<LocalDate> dataDate,
            String mended)
            throws IOException {
        Table table = MendedCells.in(Uploads.table(in, ScheduleColumn::says), mended);
        return new Reading(
                table,
                meanings.isEmpty() ? ColumnGuess.of(table) : columns(meanings),
                order,
                dataDate.map(LocalDate::atStartOfDay));
    }

    private static Map<ScheduleColumn, Integer> columns(List<String> meanings) {
        Map<ScheduleColumn, Integer> columns = new EnumMap<>(ScheduleColumn.class);
        for (int i = 0; i < meanings.size(); i++) {
            if (!meanings.get(i).isBlank()) {
                columns.putIfAbsent(ScheduleColumn.of(meanings.get(i).strip()), i);
            }
        }
        return columns;
    }

    ScheduleReader.Read read(String name, LocalDate start) {
        return ScheduleReader.read(table, columns, name, start.atTime(FIRST_HOUR, 0), dataDate, order);
    }
}
