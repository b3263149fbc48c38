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
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;

/** Writes tables: as text, and as spreadsheets. */
public final class SheetFiles {
    private static final DateTimeFormatter MINUTE = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm");
    private static final String INDENT = "   ";
    /** Texts that begin so are taken for formulas by spreadsheets: the signs, also in full width, a tab, a return. */
    private static final String FORMULA_STARTS = "=+-@\t\r\uFF1D\uFF0B\uFF0D\uFF20";

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
        return cell.map(value -> value instanceof LocalDateTime date ? MINUTE.format(date) : harmless(value.toString()))
                .orElse("");
    }

    /** What somebody typed as a name must not run as a formula on somebody else's machine. */
    private static String harmless(String text) {
        boolean looksLikeFormula = !text.isEmpty() && FORMULA_STARTS.indexOf(text.charAt(0)) >= 0;
        return looksLikeFormula && !text.matches("-?[\\d.]+") ? "'" + text : text;
    }

    /** Writes a workbook of one sheet, dates as dates, and the header in view; the stream stays open. */
    public static void xlsx(Sheet from, OutputStream out) throws IOException {
        try (Workbook workbook = new Workbook(out, "Tychon", "1.0")) {
            Worksheet sheet = workbook.newWorksheet(from.title());
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
