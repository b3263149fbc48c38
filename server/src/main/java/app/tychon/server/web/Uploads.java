package app.tychon.server.web;

import app.tychon.exchange.table.Table;
import app.tychon.exchange.table.Tables;
import app.tychon.exchange.table.UnreadableTableException;
import java.io.IOException;
import java.io.InputStream;
import org.springframework.web.multipart.MultipartFile;

/** Tables that people send. */
public final class Uploads {
    private Uploads() {}

    /** @throws IllegalArgumentException for a file that is no table, saying what to do */
    public static Table table(MultipartFile file) throws IOException {
        try (InputStream in = file.getInputStream()) {
            return table(in);
        }
    }

    /** @throws IllegalArgumentException for what is no table, saying what to do */
    public static Table table(InputStream in) throws IOException {
        try {
            return Tables.read(in);
        } catch (UnreadableTableException e) {
            throw new IllegalArgumentException(e.getMessage(), e);
        }
    }
}
