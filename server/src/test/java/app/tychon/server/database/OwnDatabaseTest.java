package app.tychon.server.database;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
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
}
