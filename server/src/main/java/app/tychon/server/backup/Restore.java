package app.tychon.server.backup;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.MappingIterator;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.flywaydb.core.Flyway;

/** Puts a backup into a database that holds nothing yet. All of it is there afterwards, or nothing. */
public final class Restore {
    private static final ObjectMapper JSON = JsonMapper.builder().build();
    private static final int BATCH = 100;

    /** Why a backup was not restored, in a sentence; the database is as it was. */
    public static final class NotRestored extends RuntimeException {
        private static final long serialVersionUID = 1L;

        NotRestored(String sentence) {
            super(sentence);
        }
    }

    private Restore() {}

    /**
     * Restores a backup, by the tables of its own version; the next start brings them up to that of the application.
     *
     * @return how many rows there are
     * @throws NotRestored where the file is no backup, or not whole, or the database holds something already
     */
    public static long into(String url, String user, String password, Path file) {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            JsonNode manifest = manifest(zip, file);
            Flyway.configure()
                    .dataSource(url, user, password)
                    .locations("classpath:db/migration")
                    .target(manifest.get("database").asText())
                    .load()
                    .migrate();
            try (Connection connection = DriverManager.getConnection(url, user, password)) {
                return into(connection, zip, manifest);
            }
        } catch (IOException e) {
            throw new NotRestored(file + " cannot be read as a backup: " + e.getMessage());
        } catch (SQLException e) {
            throw new NotRestored("The database refused the backup: " + e.getMessage());
        }
    }

    private static JsonNode manifest(ZipFile zip, Path file) throws IOException {
        ZipEntry entry = zip.getEntry(BackupFile.MANIFEST);
        if (entry == null) {
            throw new NotRestored(
                    file + " is no backup of Tychon, or it was cut off: " + BackupFile.MANIFEST + " is missing.");
        }
        try (InputStream in = zip.getInputStream(entry)) {
            JsonNode manifest = JSON.readTree(in);
            if (!BackupFile.FORMAT.equals(manifest.path("format").asText())
                    || manifest.path("version").asInt() != BackupFile.VERSION) {
                throw new NotRestored(file + " is a backup of a kind that this version does not know.");
            }
            return manifest;
        }
    }

    private static long into(Connection connection, ZipFile zip, JsonNode manifest) throws SQLException, IOException {
        connection.setAutoCommit(false);
        try (Statement statement = connection.createStatement()) {
            statement.execute("SET FOREIGN_KEY_CHECKS = 0");
        }
        long rows = 0;
        for (Map.Entry<String, JsonNode> table : manifest.get("tables").properties()) {
            if (!Tables.all(connection).contains(table.getKey())) {
                throw new NotRestored("The backup has a table that is not known: " + table.getKey() + ".");
            }
            refuseWhatIsThere(connection, table.getKey());
            long restored = table(connection, zip, table.getKey());
            if (restored != table.getValue().asLong()) {
                throw new NotRestored("The backup is not whole: of " + table.getKey() + " there are " + restored
                        + " rows instead of " + table.getValue().asLong() + ". Nothing was restored.");
            }
            rows += restored;
        }
        connection.commit();
        return rows;
    }

    private static void refuseWhatIsThere(Connection connection, String table) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet one = statement.executeQuery("SELECT 1 FROM `" + table + "` LIMIT 1")) {
            if (one.next()) {
                throw new NotRestored(
                        "The database holds something already, and a backup is restored only into one that does not."
                                + " Set TYCHON_DATA to a new folder, or use an empty database.");
            }
        }
    }

    private static long table(Connection connection, ZipFile zip, String table) throws SQLException, IOException {
        ZipEntry entry = zip.getEntry(table + BackupFile.ROWS);
        if (entry == null) {
            return 0;
        }
        long count = 0;
        try (InputStream in = zip.getInputStream(entry);
                MappingIterator<JsonNode> rows = JSON.readerFor(JsonNode.class).readValues(in)) {
            List<String> columns = columns(connection, table);
            String marks = "?" + ", ?".repeat(columns.size() - 1);
            try (PreparedStatement insert = connection.prepareStatement(
                    "INSERT INTO `" + table + "` (`" + String.join("`, `", columns) + "`) VALUES (" + marks + ")")) {
                while (rows.hasNext()) {
                    set(insert, columns, rows.next());
                    insert.addBatch();
                    count++;
                    if (count % BATCH == 0) {
                        insert.executeBatch();
                    }
                }
                insert.executeBatch();
            }
        }
        return count;
    }

    private static List<String> columns(Connection connection, String table) throws SQLException {
        List<String> columns = new ArrayList<>();
        try (Statement statement = connection.createStatement();
                ResultSet none = statement.executeQuery("SELECT * FROM `" + table + "` LIMIT 0")) {
            for (int i = 1; i <= none.getMetaData().getColumnCount(); i++) {
                columns.add(none.getMetaData().getColumnName(i));
            }
        }
        return columns;
    }

    private static void set(PreparedStatement insert, List<String> columns, JsonNode row)
            throws SQLException, IOException {
        for (int i = 0; i < columns.size(); i++) {
            JsonNode bytes = row.get(columns.get(i) + BackupFile.BYTES);
            JsonNode text = row.get(columns.get(i));
            if (bytes != null) {
                insert.setBytes(i + 1, bytes.binaryValue());
            } else {
                insert.setString(i + 1, text == null ? null : text.asText());
            }
        }
    }
}
