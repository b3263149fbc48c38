package app.tychon.server;

import app.tychon.server.database.DatabaseAddress;
import app.tychon.server.database.OwnDatabase;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.util.FileSystemUtils;

/** A real MariaDB, started once for all tests of a run and thrown away after them; another for those in which people have accounts. */
public final class TestDatabase {
    /** By which whoever has the machine comes in. */
    public static final String MACHINE_KEY = "key-of-the-machine-under-test";

    private static final class Usual {
        static final DatabaseAddress ADDRESS = start();
    }

    private static final class Peopled {
        static final DatabaseAddress ADDRESS = start();
    }

    private TestDatabase() {}

    private static DatabaseAddress start() {
        try {
            Path folder = Files.createTempDirectory("tychon-test");
            OwnDatabase database = OwnDatabase.start(folder);
            Runtime.getRuntime().addShutdownHook(new Thread(() -> {
                database.close();
                FileSystemUtils.deleteRecursively(folder.toFile());
            }));
            return database.address();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Points the application under test to it. */
    public static void use(DynamicPropertyRegistry registry) {
        use(registry, Usual.ADDRESS);
    }

    /** Points the application under test to the one in which people have accounts. */
    public static void usePeopled(DynamicPropertyRegistry registry) {
        use(registry, Peopled.ADDRESS);
    }

    private static void use(DynamicPropertyRegistry registry, DatabaseAddress address) {
        registry.add("spring.datasource.url", address::url);
        registry.add("spring.datasource.username", address::user);
        registry.add("spring.datasource.password", address::password);
        registry.add("tychon.secret", () -> "a secret of tests");
        registry.add("tychon.machine-key", () -> MACHINE_KEY);
    }
}
