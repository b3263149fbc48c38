package app.tychon.server.database;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A MariaDB server of the application's own: on 127.0.0.1, on a free port, with its data in one folder, never the
 * system's. It is made on first use and stopped by {@link #close}; one that a crash has left behind is stopped first.
 */
public final class OwnDatabase implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(OwnDatabase.class);
    private static final Duration PATIENCE = Duration.ofSeconds(90);
    private static final Duration FIRST_PAUSE = Duration.ofSeconds(1);
    private static final Duration LONGEST_PAUSE = Duration.ofMinutes(1);
    private static final String NAME = "tychon";
    private static final String WORKER = "tychon_work";

    /** Why no database can be had, in one sentence. */
    public static final class Unusable extends RuntimeException {
        Unusable(String sentence) {
            super(sentence);
        }
    }

    private final Path folder;
    private final RandomAccessFile lockFile;
    private final DatabaseAddress address;
    private final int port;
    private volatile Process process;
    private volatile boolean closing;

    private OwnDatabase(Path folder, RandomAccessFile lockFile) throws IOException, InterruptedException {
        this.folder = folder;
        this.lockFile = lockFile;
        stopLeftover();
        if (!Files.isDirectory(data().resolve("mysql"))) {
            install();
        }
        String password = PrivateFile.key(folder.resolve("password"));
        port = freePort();
        process = launch(password);
        address = new DatabaseAddress("jdbc:mariadb://127.0.0.1:" + port + "/" + NAME, NAME, password);
        awaitConnection();
        watch(process);
    }

    /** Where the server dies, another takes its place on the same port and the same data; what waits for it goes on. */
    private void watch(Process watched) {
        watched.onExit().thenAcceptAsync(dead -> {
            Duration pause = FIRST_PAUSE;
            while (!closing) {
                LOG.error(
                        "MariaDB ended by itself with {}; it is started again. The reason may be in {}.",
                        dead.exitValue(),
                        log());
                try {
                    process = launch(address.password());
                    if (!process.waitFor(pause.toMillis(), TimeUnit.MILLISECONDS)) {
                        watch(process);
                        return;
                    }
                } catch (IOException e) {
                    LOG.error("MariaDB could not be started again: {}", e.getMessage());
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                    return;
                }
                pause = pause.multipliedBy(2).compareTo(LONGEST_PAUSE) < 0 ? pause.multipliedBy(2) : LONGEST_PAUSE;
            }
        });
    }

    /**
     * Starts the database of a folder, which is made where it does not exist.
     *
     * @throws Unusable when the folder is in use, MariaDB is missing, or it does not start
     */
    public static OwnDatabase start(Path folder) {
        try {
            PrivateFile.folder(folder);
            return new OwnDatabase(folder, lock(folder));
        } catch (IOException e) {
            throw new Unusable("The data folder " + folder + " cannot be used: " + e.getMessage());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new Unusable("Starting the database was interrupted.");
        }
    }

    private static RandomAccessFile lock(Path folder) throws IOException {
        RandomAccessFile file = new RandomAccessFile(folder.resolve("lock").toFile(), "rw");
        FileLock lock;
        try {
            lock = file.getChannel().tryLock();
        } catch (OverlappingFileLockException e) {
            lock = null;
        }
        if (lock == null) {
            file.close();
            throw new Unusable("Tychon is already running on the data folder " + folder
                    + "; stop it first, or set TYCHON_DATA to another folder.");
        }
        return file;
    }

    /** As its owner, who changes tables. */
    public DatabaseAddress address() {
        return address;
    }

    /** As whoever works with what is in the tables, and changes none. */
    public DatabaseAddress work() {
        return address.as(WORKER);
    }

    /** Shuts the server down cleanly and waits for it. */
    @Override
    public void close() {
        closing = true;
        try {
            stop(process.toHandle());
            lockFile.close();
        } catch (IOException e) {
            throw new IllegalStateException("the data folder stays locked", e);
        }
    }

    private Path data() {
        return folder.resolve("mariadb");
    }

    private Path pidFile() {
        return folder.resolve("mariadb.pid");
    }

    /** One of its own: a server that starts takes away what another has put into a common one. */
    private Path temporary() throws IOException {
        return Files.createDirectories(folder.resolve("tmp"));
    }

    private Path log() {
        return folder.resolve("mariadb.log");
    }

    /** Nobody else holds the folder's lock, so a server that still works on it lost its application. */
    private void stopLeftover() throws IOException {
        if (!Files.exists(pidFile())) {
            return;
        }
        long pid = Long.parseLong(Files.readString(pidFile()).strip());
        ProcessHandle.of(pid)
                .filter(handle -> commandLine(handle).contains(data().toString()))
                .ifPresent(OwnDatabase::stop);
    }

    private static String commandLine(ProcessHandle handle) {
        try {
            return Files.readString(Path.of("/proc", Long.toString(handle.pid()), "cmdline"));
        } catch (IOException e) {
            return handle.info().commandLine().orElse("");
        }
    }

    private static void stop(ProcessHandle handle) {
        handle.destroy();
        try {
            handle.onExit().get(PATIENCE.toSeconds(), TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (ExecutionException | TimeoutException e) {
            handle.destroyForcibly();
        }
    }

    private void install() throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of(
                MariaDbTools.find("mariadb-install-db"),
                "--no-defaults",
                "--datadir=" + data(),
                "--tmpdir=" + temporary(),
                "--auth-root-authentication-method=socket",
                "--skip-test-db"));
        addUser(command);
        Process install = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(log().toFile())
                .start();
        if (install.waitFor() != 0) {
            throw new Unusable("MariaDB could not set up its data folder; the reason is in " + log() + ".");
        }
    }

    private Process launch(String password) throws IOException {
        Path init = folder.resolve("init.sql");
        PrivateFile.write(
                init,
                """
                CREATE DATABASE IF NOT EXISTS %1$s CHARACTER SET utf8mb4 COLLATE utf8mb4_bin;
                CREATE OR REPLACE USER '%1$s'@'127.0.0.1' IDENTIFIED BY '%2$s';
                GRANT ALL PRIVILEGES ON %1$s.* TO '%1$s'@'127.0.0.1';
                CREATE OR REPLACE USER '%3$s'@'127.0.0.1' IDENTIFIED BY '%2$s';
                GRANT SELECT, INSERT, UPDATE, DELETE ON %1$s.* TO '%3$s'@'127.0.0.1';
                """
                        .formatted(NAME, password, WORKER));
        // A session of its own keeps the terminal's Ctrl-C from it: the application shuts it down when it is done.
        List<String> command = new ArrayList<>(List.of(
                "setsid",
                MariaDbTools.find("mariadbd"),
                "--no-defaults",
                "--datadir=" + data(),
                "--bind-address=127.0.0.1",
                "--port=" + port,
                // Told from the data folder, since the path of a socket may have no more than some hundred letters.
                "--socket=../mariadb.sock",
                "--tmpdir=" + temporary(),
                "--pid-file=" + pidFile(),
                "--log-error=" + log(),
                "--init-file=" + init,
                "--skip-name-resolve",
                "--character-set-server=utf8mb4",
                "--max-allowed-packet=1G",
                "--innodb-buffer-pool-size=256M",
                "--innodb-log-file-size=256M"));
        addUser(command);
        return new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(log().toFile()))
                .start();
    }

    /** MariaDB refuses to run as root unless told so. */
    private static void addUser(List<String> command) {
        command.add("--user=" + System.getProperty("user.name"));
    }

    private void awaitConnection() throws InterruptedException {
        Instant limit = Instant.now().plus(PATIENCE);
        while (true) {
            try (Connection connection =
                    DriverManager.getConnection(address.url(), address.user(), address.password())) {
                return;
            } catch (SQLException e) {
                if (process.waitFor(50, TimeUnit.MILLISECONDS)) {
                    throw new Unusable("MariaDB stopped while starting; the reason is in " + log() + ".");
                }
                if (Instant.now().isAfter(limit)) {
                    stop(process.toHandle());
                    throw new Unusable(
                            "MariaDB did not answer within " + PATIENCE.toSeconds() + " s; see " + log() + ".");
                }
            }
        }
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return socket.getLocalPort();
        }
    }
}
