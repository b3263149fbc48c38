package app.tychon.e2e.campaign;

import app.tychon.e2e.Workers;
import app.tychon.server.database.DatabaseAddress;
import app.tychon.server.database.OwnDatabase;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;

/** Two servers of one database, which know each other. */
final class Fellowship implements AutoCloseable {
    private static final String SECRET = "twenty letters and more";

    private final OwnDatabase database;
    private final Victim[] servers;

    private Fellowship(OwnDatabase database, Victim[] servers) {
        this.database = database;
        this.servers = servers;
    }

    /**
     * Starts them.
     *
     * @param url what people open, where they are behind one address; their own otherwise
     * @param hosts where each listens for the other
     */
    static Fellowship start(Path jar, Path demo, Path folder, String url, String... hosts) throws IOException {
        String[] places = {hosts[0] + ":" + Workers.freePort(), hosts[1] + ":" + Workers.freePort()};
        OwnDatabase database = OwnDatabase.start(folder.resolve("database"));
        Victim[] servers = {
            server(jar, demo, folder.resolve("one"), database.address(), url, places[0], places[1]),
            server(jar, demo, folder.resolve("other"), database.address(), url, places[1], places[0])
        };
        servers[0].start();
        // Whoever may enter the one may enter the other.
        Files.createDirectories(folder.resolve("other"));
        Files.copy(folder.resolve("one/machine-key"), folder.resolve("other/machine-key"));
        servers[1].start();
        return new Fellowship(database, servers);
    }

    private static Victim server(
            Path jar, Path demo, Path data, DatabaseAddress database, String url, String place, String other)
            throws IOException {
        Map<String, String> environment = new HashMap<>();
        environment.put("TYCHON_DB_URL", database.url());
        environment.put("TYCHON_DB_USER", database.user());
        environment.put("TYCHON_DB_PASSWORD", database.password());
        environment.put("TYCHON_SECRET", SECRET);
        environment.put("TYCHON_MACHINES", place);
        environment.put("TYCHON_SERVERS", other);
        environment.put("TYCHON_MACHINES_SECRET", SECRET);
        if (url != null) {
            environment.put("TYCHON_URL", url);
        }
        return new Victim(jar, data, demo, environment);
    }

    /** @param which 0 or 1 */
    Victim server(int which) {
        return servers[which];
    }

    /** Waits until both see so many servers. */
    void awaitServers(int many) throws IOException {
        for (Victim one : servers) {
            one.awaitMachines("server", many);
        }
    }

    @Override
    public void close() {
        try {
            for (Victim one : servers) {
                one.stop();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } finally {
            database.close();
        }
    }
}
