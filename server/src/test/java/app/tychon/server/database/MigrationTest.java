package app.tychon.server.database;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Plans kept by each earlier version are whole after the migrations. */
class MigrationTest {
    @TempDir
    Path folder;

    private static Flyway flyway(DatabaseAddress address, String target) {
        return Flyway.configure()
                .dataSource(address.url(), address.user(), address.password())
                .locations("classpath:db/migration")
                .target(target)
                .load();
    }

    /** The version from which on a run keeps the finish of its level, not of P80. */
    private static final int LEVELS = 6;
    /** The version that counts what is kept of the runs that are there. */
    private static final int COUNTED = 15;

    private static void insertAnOldPlan(Statement sql, int version) throws SQLException {
        sql.execute("SET @p = UUID(), @c = UUID(), @b = UUID()");
        sql.execute(
                "INSERT INTO project (id, code, name, currency, start_at, calendar, lag_calendar, revision, created_at,"
                        + " edited_at) VALUES (@p, 'p', 'Old', 'EUR', '2027-03-01 08:00', 'std', 'PREDECESSOR', 3, NOW(), NOW())");
        sql.execute(
                "INSERT INTO calendar (id, project_id, code, position, definition) VALUES (@c, @p, 'std', 0, '{}')");
        sql.execute("INSERT INTO branch (id, project_id, code, outline, name, position)"
                + " VALUES (@b, @p, 'W', '1', 'All', 0)");
        sql.execute(
                "INSERT INTO activity (id, project_id, branch_id, calendar_id, code, name, kind, duration, position,"
                        + " version) VALUES (UUID(), @p, @b, @c, 'A', 'Dig', 'TASK', '5d', 0, 0)");
        sql.execute("INSERT INTO cost_line (id, project_id, code, name, amount, fixed_share, timing, position)"
                + " VALUES (UUID(), @p, 'C', 'Fee', 10, 1, 'EVEN', 0)");
        sql.execute("INSERT INTO run (id, project_id, number, state, started_at, asked, done, seed, sampling, revision,"
                + (version < LEVELS ? " p80_finish" : " level_finish")
                + ") VALUES (UUID(), @p, 1, 'DONE', NOW(), 500, 500, 7, 'LATIN', 3, '2027-09-01 17:00')");
        sql.execute("INSERT INTO run_data (run_id, inputs, results) SELECT id, 'abcd', 'ef' FROM run");
    }

    @Test
    void aPlanOfEachVersionIsWholeAndHasNothingThatItsVersionDidNotKnow() throws SQLException, IOException {
        try (OwnDatabase database = OwnDatabase.start(folder)) {
            int latest = flyway(database.address(), "latest").info().all().length;
            for (int version = 1; version < latest; version++) {
                try (Connection connection = DriverManager.getConnection(
                                database.address().url(),
                                database.address().user(),
                                database.address().password());
                        Statement sql = connection.createStatement()) {
                    String name = connection.getCatalog();
                    sql.execute("DROP DATABASE " + name);
                    sql.execute("CREATE DATABASE " + name + " CHARACTER SET utf8mb4");
                }
                flyway(database.address(), Integer.toString(version)).migrate();
                migrateFrom(version, database.address());
            }
        }
    }

    private static void migrateFrom(int version, DatabaseAddress address) throws SQLException {
        try (Connection connection = DriverManager.getConnection(address.url(), address.user(), address.password());
                Statement sql = connection.createStatement()) {
            insertAnOldPlan(sql, version);
            assertThat(flyway(address, "latest").migrate().migrationsExecuted).isPositive();
            try (ResultSet row = sql.executeQuery("SELECT * FROM activity")) {
                assertThat(row.next()).isTrue();
                assertThat(row.getString("name")).isEqualTo("Dig");
                assertThat(row.getString("combine_risks")).isEqualTo("ADD");
                assertThat(row.getBoolean("watch")).isFalse();
                assertThat(row.getString("grade")).isNull();
                assertThat(row.getString("actual_start")).isNull();
            }
            try (ResultSet row = sql.executeQuery("SELECT data_date, confidence FROM project")) {
                assertThat(row.next()).isTrue();
                assertThat(row.getString(1)).isNull();
                assertThat(row.getInt(2)).isEqualTo(80);
            }
            try (ResultSet row = sql.executeQuery("SELECT level, level_finish, level_cost, bytes FROM run")) {
                assertThat(row.next()).isTrue();
                assertThat(row.getInt(1)).isEqualTo(80);
                assertThat(row.getString(2)).startsWith("2027-09-01 17:00");
                assertThat(row.getString(3)).isNull();
                assertThat(row.getLong(4)).isEqualTo(version < COUNTED ? 6 : 0);
            }
            sql.execute("DELETE FROM project");
            try (ResultSet row = sql.executeQuery("SELECT COUNT(*) FROM activity")) {
                assertThat(row.next()).isTrue();
                assertThat(row.getInt(1)).isZero();
            }
        }
    }
}
