package app.tychon.server.backup;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.io.SerializedString;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.OutputStream;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.sql.Statement;
import java.sql.Types;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.sql.DataSource;
import org.springframework.stereotype.Component;

/** Takes everything out that the database holds, as it is at one moment, while people work on. */
@Component
class Backup {
    private static final Set<Integer> BINARY = Set.of(Types.BINARY, Types.VARBINARY, Types.LONGVARBINARY, Types.BLOB);
    private static final int ROWS_AT_ONCE = 20;

    private final DataSource database;
    private final ObjectMapper json;

    Backup(DataSource database, ObjectMapper json) {
        this.database = database;
        this.json = json;
    }

    /** Writes a backup, of which nothing is kept in memory but a few rows. @see BackupFile */
    void write(OutputStream out) throws IOException {
        try (Connection connection = database.getConnection();
                ZipOutputStream zip = new ZipOutputStream(out)) {
            connection.setAutoCommit(false);
            try (Statement statement = connection.createStatement()) {
                statement.execute("SET TRANSACTION ISOLATION LEVEL REPEATABLE READ");
                statement.execute("START TRANSACTION WITH CONSISTENT SNAPSHOT");
            }
            ObjectNode manifest = json.createObjectNode()
                    .put("format", BackupFile.FORMAT)
                    .put("version", BackupFile.VERSION)
                    .put("madeAt", Instant.now().toString())
                    .put("database", Tables.schemaVersion(connection));
            ObjectNode counts = manifest.putObject("tables");
            for (String table : Tables.all(connection)) {
                zip.putNextEntry(new ZipEntry(table + BackupFile.ROWS));
                counts.put(table, rows(connection, table, zip));
                zip.closeEntry();
            }
            zip.putNextEntry(new ZipEntry(BackupFile.MANIFEST));
            zip.write(json.writeValueAsBytes(manifest));
            zip.closeEntry();
            connection.rollback();
        } catch (SQLException e) {
            throw new IOException("The database does not answer; the backup is not whole.", e);
        }
    }

    private long rows(Connection connection, String table, OutputStream out) throws SQLException, IOException {
        try (Statement statement = connection.createStatement()) {
            statement.setFetchSize(ROWS_AT_ONCE);
            try (ResultSet rows = statement.executeQuery("SELECT * FROM `" + table + "`");
                    JsonGenerator line = json.createGenerator(out)) {
                line.disable(JsonGenerator.Feature.AUTO_CLOSE_TARGET);
                line.setRootValueSeparator(new SerializedString("\n"));
                List<String> names = new ArrayList<>();
                List<Integer> kinds = new ArrayList<>();
                ResultSetMetaData columns = rows.getMetaData();
                for (int i = 1; i <= columns.getColumnCount(); i++) {
                    names.add(columns.getColumnName(i));
                    kinds.add(columns.getColumnType(i));
                }
                long count = 0;
                while (rows.next()) {
                    line.writeStartObject();
                    for (int i = 0; i < names.size(); i++) {
                        write(line, names.get(i), kinds.get(i), rows, i + 1);
                    }
                    line.writeEndObject();
                    count++;
                }
                return count;
            }
        }
    }

    private static void write(JsonGenerator line, String name, int kind, ResultSet rows, int column)
            throws SQLException, IOException {
        if (BINARY.contains(kind)) {
            byte[] bytes = rows.getBytes(column);
            if (bytes != null) {
                line.writeFieldName(name + BackupFile.BYTES);
                line.writeBinary(bytes);
            }
        } else {
            // The driver writes moments as text in more than one way.
            Object value =
                    kind == Types.TIMESTAMP ? rows.getObject(column, LocalDateTime.class) : rows.getString(column);
            if (value != null) {
                line.writeStringField(name, value.toString());
            }
        }
    }
}
