package app.tychon.server.web;

import app.tychon.exchange.table.Table;
import app.tychon.exchange.table.Tables;
import app.tychon.exchange.table.UnreadableTableException;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.function.ToIntFunction;
import org.springframework.web.multipart.MultipartFile;

/** Tables that people send. */
public final class Uploads {
    private Uploads() {}

    /**
     * @param subject how much a row of titles says of what the table is about
     * @throws IllegalArgumentException for a file that is no table, saying what to do
     */
    public static Table table(MultipartFile file, ToIntFunction<List<String>> subject) throws IOException {
        try (InputStream in = file.getInputStream()) {
            return table(in, subject);
        }
    }

    /** @throws IllegalArgumentException for what is no table, saying what to do */
    public static Table table(InputStream in, ToIntFunction<List<String>> subject) throws IOException {
        try {
            return Tables.read(in, subject);
        } catch (UnreadableTableException e) {
            throw new IllegalArgumentException(e.getMessage(), e);
        }
    }
}
