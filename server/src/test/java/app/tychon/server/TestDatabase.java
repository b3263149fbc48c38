package app.tychon.server;

import app.tychon.server.database.OwnDatabase;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.util.FileSystemUtils;

/** A real MariaDB, started once for all tests of a run and thrown away after them; another for those in which people have accounts. */
public final class TestDatabase {
    /** By which whoever has the machine comes in. */
    public static final String MACHINE_KEY = "key-of-the-machine-under-test";

    private static final class Usual {
        static final OwnDatabase DATABASE = start();
    }

    private static final class Peopled {
        static final OwnDatabase DATABASE = start();
    }

    private TestDatabase() {}

    private static OwnDatabase start() {
        try {
            Path folder = Files.createTempDirectory("tychon-test");
            OwnDatabase database = OwnDatabase.start(folder);
            Runtime.getRuntime().addShutdownHook(new Thread(() -> {
                database.close();
                FileSystemUtils.deleteRecursively(folder.toFile());
            }));
            return database;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Points the application under test to it. */
    public static void use(DynamicPropertyRegistry registry) {
        use(registry, Usual.DATABASE);
    }

    /** Points the application under test to the one in which people have accounts. */
    public static void usePeopled(DynamicPropertyRegistry registry) {
        use(registry, Peopled.DATABASE);
    }

    /** The properties of an application that is not one under test by itself. */
    public static Map<String, Object> properties() {
        return properties(Usual.DATABASE);
    }

    /** Where the usual one listens, on this machine. */
    public static int port() {
        return URI.create(Usual.DATABASE.work().url().substring("jdbc:".length()))
                .getPort();
    }

    /** The usual one through another port. */
    public static String urlAt(int port) {
        return Usual.DATABASE.work().url().replace(":" + port() + "/", ":" + port + "/");
    }

    private static void use(DynamicPropertyRegistry registry, OwnDatabase database) {
        properties(database).forEach((name, value) -> registry.add(name, () -> value));
    }

    private static Map<String, Object> properties(OwnDatabase database) {
        return Map.of(
                "spring.datasource.url", database.work().url(),
                "spring.datasource.username", database.work().user(),
                "spring.datasource.password", database.work().password(),
                "spring.flyway.user", database.address().user(),
                "spring.flyway.password", database.address().password(),
                "tychon.secret", "a secret of tests",
                "tychon.machine-key", MACHINE_KEY);
    }
}
