package app.tychon.server.cuts;

import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.server.cuts.CutProxy.Side;
import app.tychon.server.database.DatabaseAddress;
import app.tychon.server.database.Migrating;
import app.tychon.server.database.OwnDatabase;
import java.net.URI;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * A start whose migrations were cut off at any statement is followed by one that brings the tables to where they would be. A run of
 * all tests cuts at a few statements; {@code -Dtychon.cuts=all} at every one.
 */
class MigrationCutsTest {
    private static final int A_FEW = 2;
    /** What tables are made of; the history of migrations tells when, so it is left out. */
    private static final String TABLES =
            "SELECT CONCAT_WS(' ', table_name, column_name, column_type, is_nullable, column_default, column_comment)"
                    + " FROM information_schema.columns WHERE table_schema = DATABASE() AND table_name NOT LIKE 'flyway%'"
                    + " UNION SELECT CONCAT_WS(' ', 'key', table_name, index_name, non_unique, seq_in_index, column_name)"
                    + " FROM information_schema.statistics WHERE table_schema = DATABASE() AND table_name NOT LIKE 'flyway%'"
                    + " UNION SELECT CONCAT_WS(' ', 'rule', table_name, constraint_name, delete_rule)"
                    + " FROM information_schema.referential_constraints WHERE constraint_schema = DATABASE()";

    @TempDir
    Path folder;

    @Test
    void whatWasCutOffIsDoneAtTheNextStart() throws SQLException {
        try (OwnDatabase database = OwnDatabase.start(folder)) {
            DatabaseAddress address = database.address();
            int port = URI.create(address.url().substring("jdbc:".length())).getPort();
            try (CutProxy proxy = new CutProxy(port)) {
                String through = address.url().replace(":" + port + "/", ":" + proxy.port() + "/");
                proxy.count();
                Migrating.migrate(flyway(through, address));
                int statements = proxy.stop();
                Set<String> whole = tables(address);
                assertThat(whole).hasSizeGreaterThan(200);
                int cuts = 0;
                for (int statement : CutsTest.ALL ? every(statements) : few(statements)) {
                    for (Side side : Side.values()) {
                        empty(address);
                        proxy.cutAt(statement, side);
                        try {
                            Migrating.migrate(flyway(through, address));
                        } catch (FlywayException cut) {
                            cuts++;
                        }
                        proxy.stop();
                        // Nothing that the program that was cut off has left open stands in the way.
                        proxy.cutAll();
                        Migrating.migrate(flyway(address.url(), address));
                        assertThat(tables(address))
                                .as("cut %s statement %d", side, statement)
                                .isEqualTo(whole);
                    }
                }
                assertThat(cuts).isGreaterThan(A_FEW);
                // A database of before they were written anew; the checksum is corrected, and nothing is done again.
                try (Connection connection =
                                DriverManager.getConnection(address.url(), address.user(), address.password());
                        Statement sql = connection.createStatement()) {
                    sql.execute("UPDATE flyway_schema_history SET checksum = 1 WHERE version = '2'");
                }
                Migrating.migrate(flyway(address.url(), address));
                assertThat(flyway(address.url(), address).validateWithResult().validationSuccessful)
                        .isTrue();
                assertThat(tables(address)).isEqualTo(whole);
            }
        }
    }

    private static List<Integer> every(int statements) {
        return IntStream.rangeClosed(1, statements).boxed().toList();
    }

    private static List<Integer> few(int statements) {
        return IntStream.range(1, A_FEW + 1)
                .mapToObj(i -> statements * i / (A_FEW + 1))
                .toList();
    }

    private static Flyway flyway(String url, DatabaseAddress address) {
        return Flyway.configure()
                .dataSource(url, address.user(), address.password())
                .locations("classpath:db/migration")
                .load();
    }

    private static void empty(DatabaseAddress address) throws SQLException {
        try (Connection connection = DriverManager.getConnection(address.url(), address.user(), address.password());
                Statement sql = connection.createStatement()) {
            String name = connection.getCatalog();
            sql.execute("DROP DATABASE " + name);
            sql.execute("CREATE DATABASE " + name + " CHARACTER SET utf8mb4");
        }
    }

    private static Set<String> tables(DatabaseAddress address) throws SQLException {
        try (Connection connection = DriverManager.getConnection(address.url(), address.user(), address.password());
                Statement sql = connection.createStatement();
                ResultSet rows = sql.executeQuery(TABLES)) {
            Set<String> tables = new TreeSet<>();
            while (rows.next()) {
                tables.add(rows.getString(1));
            }
            return tables;
        }
    }
}
