package app.tychon.server.backup;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;

/** The tables that a backup is made of. */
final class Tables {
    private Tables() {}

    static List<String> all(Connection connection) throws SQLException {
        List<String> tables = new ArrayList<>();
        try (Statement statement = connection.createStatement();
                ResultSet names = statement.executeQuery(
                        "SELECT table_name FROM information_schema.tables WHERE table_schema = DATABASE() ORDER BY table_name")) {
            while (names.next()) {
                if (!BackupFile.LEFT_OUT.contains(names.getString(1))) {
                    tables.add(names.getString(1));
                }
            }
        }
        return tables;
    }

    /** The last migration that was done. */
    static String schemaVersion(Connection connection) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet version = statement.executeQuery(
                        "SELECT version FROM flyway_schema_history WHERE success ORDER BY installed_rank DESC LIMIT 1")) {
            version.next();
            return version.getString(1);
        }
    }
}
