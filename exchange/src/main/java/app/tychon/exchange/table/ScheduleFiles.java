package app.tychon.exchange.table;

import app.tychon.core.model.Plan;
import app.tychon.core.schedule.Schedule;
import app.tychon.exchange.table.ScheduleSheet.Line;
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

/** Writes plans as tables: text, and spreadsheets. */
public final class ScheduleFiles {
    private static final DateTimeFormatter MINUTE = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm");
    private static final int[] WIDTHS = {12, 7, 44, 11, 10, 26, 22, 17, 17, 17, 17, 11, 18, 17, 11, 40};
    private static final int NAME = 2;
    private static final String INDENT = "   ";
    /** Texts that begin so are taken for formulas by spreadsheets. */
    private static final String FORMULA_STARTS = "=+-@";

    private ScheduleFiles() {}

    /** Writes UTF-8 with a mark, as spreadsheets like it; the stream is closed. */
    public static void csv(Plan plan, Schedule schedule, OutputStream out) throws IOException {
        try (Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
                CSVPrinter printer = new CSVPrinter(writer, CSVFormat.RFC4180)) {
            writer.write('\uFEFF');
            printer.printRecord(ScheduleSheet.HEADER);
            for (Line line : ScheduleSheet.of(plan, schedule)) {
                printer.printRecord(
                        line.cells().stream().map(ScheduleFiles::text).toList());
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

    /** Writes a workbook of one sheet, with branches to fold, dates as dates, and the header in view; the stream stays open. */
    public static void xlsx(Plan plan, Schedule schedule, OutputStream out) throws IOException {
        try (Workbook workbook = new Workbook(out, "Tychon", "1.0")) {
            Worksheet sheet = workbook.newWorksheet("Schedule");
            for (int c = 0; c < WIDTHS.length; c++) {
                sheet.value(0, c, ScheduleSheet.HEADER.get(c));
                sheet.width(c, WIDTHS[c]);
            }
            sheet.range(0, 0, 0, WIDTHS.length - 1)
                    .style()
                    .bold()
                    .fillColor("E3F0EE")
                    .set();
            sheet.freezePane(3, 1);
            List<Line> lines = ScheduleSheet.of(plan, schedule);
            for (int i = 0; i < lines.size(); i++) {
                write(sheet, i + 1, lines.get(i));
            }
            if (!lines.isEmpty()) {
                sheet.setAutoFilter(0, 0, lines.size(), WIDTHS.length - 1);
            }
        }
    }

    private static void write(Worksheet sheet, int row, Line line) {
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
        line.cells().get(NAME).ifPresent(name -> sheet.value(row, NAME, INDENT.repeat(line.level() - 1) + name));
        if (line.branch()) {
            sheet.range(row, 0, row, line.cells().size() - 1).style().bold().set();
        }
    }
}
