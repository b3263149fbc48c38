package app.tychon.exchange.table;

import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToIntFunction;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Reads text tables: separators comma, semicolon, tab or bar, encodings UTF-8, UTF-16 with a mark, or else Windows-1252,
 * all recognised.
 */
public final class CsvTables {
    private static final List<Character> SEPARATORS = List.of(';', '\t', ',', '|');
    private static final int LINES_LOOKED_AT = 20;

    private CsvTables() {}

    /**
     * Reads a table; {@link Tables#of} says which row is its header.
     *
     * @throws UnreadableTableException when it is no text, or has no header
     */
    static Table read(InputStream in, ToIntFunction<List<String>> subject)
            throws IOException, UnreadableTableException {
        return read(text(in.readAllBytes()), subject);
    }

    /** Reads a table out of text, such as what was copied from a spreadsheet. */
    public static Table read(String text, ToIntFunction<List<String>> subject) throws UnreadableTableException {
        List<Table.Row> rows = new ArrayList<>();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(separator(text))
                .setIgnoreEmptyLines(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            for (CSVRecord record : parser) {
                Table.Row row = new Table.Row((int) record.getRecordNumber(), cells(record));
                if (!row.isBlank()) {
                    rows.add(row);
                }
                if (rows.size() > Tables.MOST_ROWS) {
                    throw new UnreadableTableException("The table has more than " + Tables.MOST_ROWS + " rows.");
                }
            }
        } catch (IOException | UncheckedIOException e) {
            throw new UnreadableTableException(
                    "The file is no sound table of text: a quotation mark is opened and never closed.");
        }
        return Tables.of(rows, subject);
    }

    /** Without blank cells at the end, of which spreadsheets write many. */
    private static List<String> cells(CSVRecord record) throws UnreadableTableException {
        int last = record.size();
        while (last > 0 && record.get(last - 1).isBlank()) {
            last--;
        }
        if (last > Tables.MOST_COLUMNS) {
            throw new UnreadableTableException("Row " + record.getRecordNumber() + " of the table has "
                    + "%,d columns; at most %,d are read.".formatted(last, Tables.MOST_COLUMNS)
                    + " Export the columns that are needed alone.");
        }
        return record.stream().limit(last).map(FormulaGuard::plain).toList();
    }

    private static String text(byte[] bytes) throws UnreadableTableException {
        Charset marked = marked(bytes);
        try {
            String text = (marked == null ? StandardCharsets.UTF_8 : marked)
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
            return checked(text.startsWith("\uFEFF") ? text.substring(1) : text);
        } catch (CharacterCodingException e) {
            return checked(new String(bytes, Charset.forName("windows-1252")));
        }
    }

    private static Charset marked(byte[] bytes) {
        if (bytes.length >= 2 && bytes[0] == (byte) 0xFE && bytes[1] == (byte) 0xFF) {
            return StandardCharsets.UTF_16BE;
        }
        if (bytes.length >= 2 && bytes[0] == (byte) 0xFF && bytes[1] == (byte) 0xFE) {
            return StandardCharsets.UTF_16LE;
        }
        return null;
    }

    private static String checked(String text) throws UnreadableTableException {
        if (text.indexOf('\0') >= 0) {
            throw new UnreadableTableException("The file is not text: it holds bytes that no table has.");
        }
        return text;
    }

    /** The separator that cuts the first lines into most cells, as many on each. */
    private static char separator(String text) {
        List<String> lines = text.lines().limit(LINES_LOOKED_AT).toList();
        char best = ',';
        int most = 0;
        for (char separator : SEPARATORS) {
            int least = lines.stream()
                    .filter(line -> !line.isBlank())
                    .mapToInt(line -> count(line, separator))
                    .min()
                    .orElse(0);
            if (least > most) {
                most = least;
                best = separator;
            }
        }
        return most > 0 ? best : headerSeparator(lines);
    }

    /** Where rows are ragged, the header decides. */
    private static char headerSeparator(List<String> lines) {
        String header = lines.isEmpty() ? "" : lines.get(0);
        char best = ',';
        for (char separator : SEPARATORS) {
            best = count(header, separator) > count(header, best) ? separator : best;
        }
        return best;
    }

    private static int count(String line, char separator) {
        boolean quoted = false;
        int count = 0;
        for (int i = 0; i < line.length(); i++) {
            quoted ^= line.charAt(i) == '"';
            count += !quoted && line.charAt(i) == separator ? 1 : 0;
        }
        return count;
    }
}
