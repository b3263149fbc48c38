package app.tychon.server.database;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class OwnDatabaseTest {
    private static Connection connect(DatabaseAddress address) throws SQLException {
        return DriverManager.getConnection(address.url(), address.user(), address.password());
    }

    @Test
    void keepsItsDataFromOneStartToTheNextAndLetsNobodyElseIn(@TempDir Path folder) throws SQLException {
        DatabaseAddress first;
        try (OwnDatabase database = OwnDatabase.start(folder)) {
            first = database.address();
            try (Connection connection = connect(first);
                    Statement statement = connection.createStatement()) {
                statement.execute("CREATE TABLE kept (n INT)");
                statement.execute("INSERT INTO kept VALUES (42)");
            }
            assertThatThrownBy(() -> OwnDatabase.start(folder))
                    .isInstanceOf(OwnDatabase.Unusable.class)
                    .hasMessageContaining("already running");
            DatabaseAddress stranger = new DatabaseAddress(first.url(), first.user(), "guess");
            assertThatThrownBy(() -> connect(stranger)).isInstanceOf(SQLException.class);
        }
        assertThatThrownBy(() -> connect(first)).as("stopped").isInstanceOf(SQLException.class);
        try (OwnDatabase database = OwnDatabase.start(folder);
                Connection connection = connect(database.address());
                Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery("SELECT n FROM kept")) {
            assertThat(rows.next()).isTrue();
            assertThat(rows.getInt(1)).isEqualTo(42);
        }
    }

    private static boolean answers(DatabaseAddress address) {
        try (Connection connection = connect(address)) {
            return connection.isValid(1);
        } catch (SQLException e) {
            return false;
        }
    }

    @Test
    void aServerThatDiesComesBackByItselfWithItsData(@TempDir Path folder) throws Exception {
        try (OwnDatabase database = OwnDatabase.start(folder)) {
            DatabaseAddress address = database.address();
            try (Connection connection = connect(address);
                    Statement statement = connection.createStatement()) {
                statement.execute("CREATE TABLE kept (n INT)");
            }
            long pid = Long.parseLong(
                    Files.readString(folder.resolve("mariadb.pid")).strip());
            ProcessHandle dying = ProcessHandle.of(pid).orElseThrow();
            dying.destroyForcibly();
            dying.onExit().get(30, TimeUnit.SECONDS);
            await().atMost(Duration.ofSeconds(60)).until(() -> answers(address));
            try (Connection connection = connect(address);
                    Statement statement = connection.createStatement();
                    ResultSet rows = statement.executeQuery("SELECT COUNT(*) FROM kept")) {
                assertThat(rows.next()).isTrue();
            }
        }
        assertThat(Files.getPosixFilePermissions(folder.resolve("password")))
                .containsExactlyInAnyOrder(PosixFilePermission.OWNER_READ, PosixFilePermission.OWNER_WRITE);
        assertThat(folder.resolve("tmp")).isDirectory();
    }
}
