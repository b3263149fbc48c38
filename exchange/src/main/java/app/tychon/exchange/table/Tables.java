package app.tychon.exchange.table;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToIntFunction;

/** Reads tables, whatever they are kept in: text in many forms, or a spreadsheet. */
public final class Tables {
    /** Largest file that is read, in bytes. */
    public static final int LARGEST = 50_000_000;

    public static final int MOST_ROWS = 200_000;

    /** A schedule has some thirty columns. */
    static final int MOST_COLUMNS = 300;

    private static final byte[] ZIP = {'P', 'K', 3, 4};
    private static final byte[] OLE = {(byte) 0xD0, (byte) 0xCF, 0x11, (byte) 0xE0};
    private static final byte[] PDF = {'%', 'P', 'D', 'F'};
    private static final int ROWS_ABOVE_A_HEADER = 15;

    private Tables() {}

    /**
     * Reads a table.
     *
     * @param subject how much a row of titles says of what the table is about, so that its header is found among the first
     *     rows, and its sheet among several
     * @throws UnreadableTableException when it is too large, no table, or has no header
     */
    public static Table read(InputStream in, ToIntFunction<List<String>> subject)
            throws IOException, UnreadableTableException {
        byte[] bytes = in.readNBytes(LARGEST + 1);
        if (bytes.length > LARGEST) {
            throw new UnreadableTableException("The file has more than " + LARGEST / 1_000_000
                    + " MB; a schedule of 100,000 activities has less. Export the table alone.");
        }
        if (starts(bytes, OLE)) {
            throw new UnreadableTableException("The workbook is protected by a password, or of the old kind (.xls)."
                    + " Open it, and save it as .xlsx without a password.");
        }
        if (starts(bytes, PDF)) {
            throw new UnreadableTableException(
                    "This is a PDF: a picture of a table. Export the table itself as XLSX or CSV.");
        }
        return starts(bytes, ZIP)
                ? XlsxTables.read(new ByteArrayInputStream(bytes), bytes, subject)
                : CsvTables.read(new ByteArrayInputStream(bytes), subject);
    }

    private static boolean starts(byte[] bytes, byte[] mark) {
        for (int i = 0; i < mark.length; i++) {
            if (bytes.length <= i || bytes[i] != mark[i]) {
                return false;
            }
        }
        return true;
    }

    /**
     * A table out of rows, of which blank ones are left out. The header is the row that says most of its
     * subject, among the first; titles may stand above it.
     */
    static Table of(List<Table.Row> rows, ToIntFunction<List<String>> subject) throws UnreadableTableException {
        if (rows.isEmpty()) {
            throw new UnreadableTableException("The table is empty: it has not even a header.");
        }
        int header = 0;
        int most = subject.applyAsInt(rows.get(0).cells());
        for (int i = 1; i < Math.min(rows.size(), ROWS_ABOVE_A_HEADER); i++) {
            int said = subject.applyAsInt(rows.get(i).cells());
            if (said > most && said >= 2) {
                header = i;
                most = said;
            }
        }
        return new Table(rows.get(header).cells(), new ArrayList<>(rows.subList(header + 1, rows.size())));
    }
}
