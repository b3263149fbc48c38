package app.tychon.e2e;

import app.tychon.machines.Address;
import app.tychon.machines.Crew;
import app.tychon.machines.Secret;
import app.tychon.machines.WorkerCommand;
import java.io.File;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.boot.logging.LoggingSystem;

/** Machines that work for a server, each a process of its own, until they are closed or killed. */
public final class Workers implements AutoCloseable {
    private static final String SECRET = Secret.fresh();

    private final Path folder;
    private final Address address;
    private final Map<String, Process> processes = new HashMap<>();

    public Workers(Path folder) throws IOException {
        this(folder, "127.0.0.1");
    }

    /** @param listen where the server lets them join */
    public Workers(Path folder, String listen) throws IOException {
        this.folder = folder;
        address = new Address(listen, freePort());
    }

    /** The first of two that are free, as a server needs them that others may join. */
    public static int freePort() throws IOException {
        while (true) {
            try (ServerSocket one = new ServerSocket(0);
                    ServerSocket other = new ServerSocket(one.getLocalPort() + 1)) {
                return other.getLocalPort() - 1;
            } catch (IOException | IllegalArgumentException taken) {
                // Then others.
            }
        }
    }

    /** How a server in a process of its own is told to let them join. */
    public Map<String, String> environment() {
        return Map.of("TYCHON_MACHINES", address.toString(), "TYCHON_MACHINES_SECRET", SECRET);
    }

    /** What they join; the engine between them has nothing to say. */
    public Crew crew() {
        LoggingSystem.get(Workers.class.getClassLoader()).beforeInitialize();
        return Crew.start("server", address, List.of(), Secret.of(SECRET), folder.resolve("machines"));
    }

    public void join(String name) throws IOException {
        join(name, address.host(), List.of());
    }

    /**
     * @param host    by which it reaches the server
     * @param through what its command is put behind
     */
    public void join(String name, String host, List<String> through) throws IOException {
        List<String> command = new ArrayList<>(through);
        command.addAll(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx256m",
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC"));
        command.add("-Djava.io.tmpdir=" + Files.createDirectories(disk(name)));
        // What this process may look into of Java's own, they may too.
        command.add("@"
                + Files.write(
                        folder.resolve(name + ".opens"),
                        ManagementFactory.getRuntimeMXBean().getInputArguments().stream()
                                .filter(one -> one.startsWith("--add-opens"))
                                .toList()));
        command.add(
                "-Dlogback.configurationFile=" + Files.writeString(folder.resolve("quiet.xml"), "<configuration/>"));
        command.addAll(List.of(
                "-cp",
                System.getProperty("java.class.path"),
                WorkerCommand.class.getName(),
                "--join",
                host + ":" + address.port(),
                "--threads",
                "1",
                "--name",
                name));
        ProcessBuilder process = new ProcessBuilder(command);
        process.environment().put("TYCHON_MACHINES_SECRET", SECRET);
        File log = folder.resolve(name + ".log").toFile();
        processes.put(
                name, process.redirectErrorStream(true).redirectOutput(log).start());
    }

    /** Where it keeps what it writes. */
    public Path disk(String name) {
        return folder.resolve(name + ".disk");
    }

    /** Whether any was begun and not killed. */
    public boolean any() {
        return !processes.isEmpty();
    }

    /** As kill -9 does. */
    public void kill(String name) {
        processes.remove(name).destroyForcibly();
    }

    /** Sends it another signal. */
    public void signal(String name, String signal) throws IOException {
        new ProcessBuilder(
                        "kill", "-" + signal, Long.toString(processes.get(name).pid()))
                .start();
    }

    @Override
    public void close() {
        processes.values().forEach(Process::destroyForcibly);
    }
}
