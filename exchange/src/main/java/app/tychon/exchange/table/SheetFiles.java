package app.tychon.exchange.table;

import app.tychon.exchange.table.Sheet.Column;
import app.tychon.exchange.table.Sheet.Line;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;

/** Writes tables: as text, and as spreadsheets. */
public final class SheetFiles {
    private static final DateTimeFormatter MINUTE = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm");
    private static final String INDENT = "   ";
    /** As many characters as a cell of a workbook holds. */
    private static final int LONGEST_CELL = 32_767;

    private SheetFiles() {}

    /** Writes UTF-8 with a mark, as spreadsheets like it; the stream is closed. */
    public static void csv(Sheet sheet, OutputStream out) throws IOException {
        try (Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
                CSVPrinter printer = new CSVPrinter(writer, CSVFormat.RFC4180)) {
            writer.write('\uFEFF');
            printer.printRecord(sheet.columns().stream().map(Column::title).toList());
            for (Line line : sheet.lines()) {
                printer.printRecord(line.cells().stream().map(SheetFiles::text).toList());
            }
        }
    }

    private static String text(Optional<Object> cell) {
        return cell.map(value -> value instanceof LocalDateTime date
                        ? MINUTE.format(date)
                        : FormulaGuard.guarded(value.toString()))
                .orElse("");
    }

    /**
     * Writes a workbook of one sheet, dates as dates, and the header in view; the stream stays open.
     *
     * @throws IllegalArgumentException for a text that no cell of a workbook can hold; nothing is written then
     */
    public static void xlsx(Sheet sheet, OutputStream out) throws IOException {
        xlsx(List.of(sheet), out);
    }

    /** The same of several, a sheet each. */
    public static void xlsx(List<Sheet> sheets, OutputStream out) throws IOException {
        sheets.forEach(SheetFiles::refuseTooLong);
        try (Workbook workbook = new Workbook(out, "Tychon", "1.0")) {
            for (Sheet sheet : sheets) {
                write(workbook.newWorksheet(sheet.title()), sheet);
            }
        }
    }

    private static void write(Worksheet sheet, Sheet from) {
        int last = from.columns().size() - 1;
        for (int c = 0; c <= last; c++) {
            sheet.value(0, c, from.columns().get(c).title());
            sheet.width(c, from.columns().get(c).width());
        }
        sheet.range(0, 0, 0, last).style().bold().fillColor("E3F0EE").set();
        sheet.freezePane(from.frozen(), 1);
        for (int i = 0; i < from.lines().size(); i++) {
            write(sheet, i + 1, from.name(), from.lines().get(i));
        }
        if (!from.lines().isEmpty()) {
            sheet.setAutoFilter(0, 0, from.lines().size(), last);
        }
    }

    private static void refuseTooLong(Sheet from) {
        for (int i = 0; i < from.lines().size(); i++) {
            List<Optional<Object>> cells = from.lines().get(i).cells();
            for (int c = 0; c < cells.size(); c++) {
                int length = cells.get(c).map(Object::toString).orElse("").length();
                if (length > LONGEST_CELL) {
                    throw new IllegalArgumentException(
                            "Row %,d, %s: a cell of a spreadsheet holds at most %,d characters; this has %,d. Take the table out as text (CSV)."
                                    .formatted(i + 2, from.columns().get(c).title(), LONGEST_CELL, length));
                }
            }
        }
    }

    private static void write(Worksheet sheet, int row, int nameColumn, Line line) {
        for (int c = 0; c < line.cells().size(); c++) {
            Object value = line.cells().get(c).orElse(null);
            if (value instanceof LocalDateTime date) {
                sheet.value(row, c, date);
                sheet.style(row, c).format("yyyy-mm-dd hh:mm").set();
            } else if (value instanceof Number number) {
                sheet.value(row, c, number);
            } else if (value != null) {
                sheet.value(row, c, value.toString());
            }
        }
        line.cells()
                .get(nameColumn)
                .ifPresent(name -> sheet.value(row, nameColumn, INDENT.repeat(line.level() - 1) + name));
        if (line.branch()) {
            sheet.range(row, 0, row, line.cells().size() - 1).style().bold().set();
        }
    }
}
