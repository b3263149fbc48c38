package app.tychon.exchange.table;

import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.ToIntFunction;
import java.util.stream.Stream;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.ReadingOptions;
import org.dhatim.fastexcel.reader.Row;
import org.dhatim.fastexcel.reader.Sheet;

/** Reads spreadsheets as tables, row by row. Formulas give their last value; macros and links are never followed. */
final class XlsxTables {
    /** What a workbook may come to when it is unpacked; a bomb comes to far more. */
    private static final long MOST_UNPACKED = 600_000_000;

    private static final long MOST_TEXTS = 150_000_000;
    private static final int LONGEST_CELL = 4_000;
    private static final DateTimeFormatter MINUTE = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm");

    private XlsxTables() {}

    static Table read(InputStream in, byte[] bytes, ToIntFunction<List<String>> subject)
            throws IOException, UnreadableTableException {
        weigh(bytes);
        try (ReadableWorkbook workbook = new ReadableWorkbook(in, new ReadingOptions(true, false))) {
            Table best = null;
            for (Sheet sheet : workbook.getSheets().toList()) {
                Optional<Table> table = table(sheet, subject);
                if (table.isPresent()
                        && (best == null
                                || subject.applyAsInt(table.get().header()) > subject.applyAsInt(best.header()))) {
                    best = table.get();
                }
            }
            if (best == null) {
                throw new UnreadableTableException("No sheet of the workbook has a table in it.");
            }
            return best;
        } catch (IOException | RuntimeException e) {
            throw new UnreadableTableException(
                    "The workbook cannot be read: it is cut short, or no spreadsheet at all. Save it again as .xlsx.");
        }
    }

    /** Unpacks once without keeping anything, so that a bomb is known before it goes off. */
    private static void weigh(byte[] bytes) throws UnreadableTableException {
        byte[] buffer = new byte[1 << 16];
        long all = 0;
        boolean workbook = false;
        try (ZipFile zip = ZipFile.builder().setByteArray(bytes).get()) {
            for (ZipArchiveEntry entry : Collections.list(zip.getEntries())) {
                workbook |= entry.getName().equals("xl/workbook.xml");
                if (entry.getName().startsWith("xl/worksheets/")) {
                    try (InputStream in = zip.getInputStream(entry)) {
                        SheetBounds.check(in);
                    }
                }
                boolean texts = entry.getName().endsWith("sharedStrings.xml");
                long own = 0;
                try (InputStream in = zip.getInputStream(entry)) {
                    for (int read = in.read(buffer); read >= 0; read = in.read(buffer)) {
                        own += read;
                        all += read;
                        if (all > MOST_UNPACKED || texts && own > MOST_TEXTS) {
                            throw new UnreadableTableException("Unpacked, the workbook comes to more than "
                                    + (texts ? MOST_TEXTS : MOST_UNPACKED) / 1_000_000
                                    + " MB. Export the schedule's table alone.");
                        }
                    }
                }
            }
        } catch (IOException | IllegalArgumentException e) {
            throw new UnreadableTableException("The workbook is damaged or cut short. Save it again as .xlsx.");
        }
        if (!workbook) {
            throw new UnreadableTableException(
                    "This is a packed folder, but no .xlsx workbook. Save the table as .xlsx or as CSV.");
        }
    }

    private static Optional<Table> table(Sheet sheet, ToIntFunction<List<String>> subject)
            throws IOException, UnreadableTableException {
        List<Table.Row> rows = new ArrayList<>();
        try (Stream<Row> all = sheet.openStream()) {
            for (Iterator<Row> each = all.iterator(); each.hasNext(); ) {
                Row row = each.next();
                Table.Row read = new Table.Row(row.getRowNum(), cells(row));
                if (!read.isBlank()) {
                    rows.add(read);
                }
                if (rows.size() > Tables.MOST_ROWS) {
                    throw new UnreadableTableException(
                            "The sheet \"" + sheet.getName() + "\" has more than " + Tables.MOST_ROWS + " rows.");
                }
            }
        }
        return rows.size() < 2 ? Optional.empty() : Optional.of(Tables.of(rows, subject));
    }

    private static List<String> cells(Row row) {
        List<String> cells = new ArrayList<>();
        for (int i = 0; i < Math.min(row.getCellCount(), Tables.MOST_COLUMNS); i++) {
            String text = row.getOptionalCell(i).map(XlsxTables::text).orElse("");
            cells.add(text.length() > LONGEST_CELL ? text.substring(0, LONGEST_CELL) : text);
        }
        return cells;
    }

    private static String text(Cell cell) {
        if (cell.getType() == CellType.NUMBER || cell.getType() == CellType.FORMULA && isNumber(cell.getRawValue())) {
            return isDate(cell) ? date(cell) : number(cell.getRawValue());
        }
        return Optional.ofNullable(cell.getText()).orElse("");
    }

    private static boolean isNumber(String text) {
        return text != null && text.matches("-?\\d+(\\.\\d+)?([eE][+-]?\\d+)?");
    }

    private static String number(String raw) {
        BigDecimal value = new BigDecimal(raw).stripTrailingZeros();
        return value.scale() > 9
                ? value.setScale(9, RoundingMode.HALF_UP).stripTrailingZeros().toPlainString()
                : value.toPlainString();
    }

    private static boolean isDate(Cell cell) {
        String format = cell.getDataFormatString();
        if (format == null) {
            return false;
        }
        String code = format.replaceAll("\"[^\"]*\"|\\[[^\\]]*]|\\\\.", "").toLowerCase(Locale.ROOT);
        return code.contains("y") || code.contains("d") && code.contains("m");
    }

    private static String date(Cell cell) {
        LocalDateTime date = cell.asDate();
        return date.toLocalTime().toSecondOfDay() == 0
                ? date.toLocalDate().toString()
                : MINUTE.format(date.plusSeconds(30));
    }
}
