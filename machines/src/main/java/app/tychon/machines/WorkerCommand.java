package app.tychon.machines;

import app.tychon.core.simulation.settings.RunSettings;
import java.io.File;
import java.io.IOException;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.stream.Stream;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code ./tychon worker}: this machine works for a server until it is stopped. */
@Command(
        name = "worker",
        mixinStandardHelpOptions = true,
        description =
                "Lets this machine work at long runs of a server, until it is stopped. The secret of the machines comes by"
                        + " TYCHON_MACHINES_SECRET, or out of a file.")
public final class WorkerCommand implements Callable<Integer> {
    @Option(
            names = "--join",
            required = true,
            paramLabel = "HOST:PORT",
            description = "where the server lets machines join")
    private String join;

    @Option(
            names = "--threads",
            paramLabel = "T",
            description = "how many blocks at once; default: as many as there are cores")
    private int threads = Runtime.getRuntime().availableProcessors();

    @Option(
            names = "--name",
            paramLabel = "NAME",
            description = "what this machine is called; default: its host's name")
    private String name = host();

    @Option(names = "--secret-file", paramLabel = "FILE", description = "a file that holds the secret and nothing else")
    private Optional<Path> secretFile = Optional.empty();

    public static void main(String[] args) {
        System.exit(new CommandLine(new WorkerCommand()).execute(args));
    }

    @Override
    public Integer call() throws IOException, InterruptedException {
        try {
            if (threads < 1 || threads > RunSettings.MOST_THREADS) {
                throw new CannotJoin(
                        "--threads must lie between 1 and " + RunSettings.MOST_THREADS + ", not " + threads + ".");
            }
            Secret secret = Secret.of(secret());
            Address server = Address.of(join);
            Path work = Files.createTempDirectory("tychon-worker");
            // A server that does not answer yet is waited for.
            Worker worker = new Again(WorkerCommand::say, Again.USUAL)
                    .until(
                            () -> Worker.join(server, secret, name, threads, work, WorkerCommand::say),
                            NoAnswer.class::isInstance,
                            () -> false)
                    .orElseThrow();
            CountDownLatch left = new CountDownLatch(1);
            Runtime.getRuntime().addShutdownHook(new Thread(() -> {
                say("leaving; what is in hand is finished first");
                worker.close();
                forget(work);
                left.countDown();
            }));
            say("working for " + server + " as " + name + ", at " + threads + " blocks at once; Ctrl-C leaves");
            left.await();
            return 0;
        } catch (CannotJoin e) {
            say(e.getMessage());
            return 1;
        }
    }

    private String secret() {
        if (secretFile.isPresent()) {
            try {
                return Files.readString(secretFile.get());
            } catch (IOException e) {
                throw new CannotJoin("The file " + secretFile.get() + " of --secret-file cannot be read.");
            }
        }
        String given = System.getenv("TYCHON_MACHINES_SECRET");
        if (given == null || given.isBlank()) {
            throw new CannotJoin(
                    "Say the secret of the machines by TYCHON_MACHINES_SECRET or --secret-file; the server keeps"
                            + " it in machines.secret of its data folder.");
        }
        return given;
    }

    /** Takes away what the engine has kept. */
    private static void forget(Path folder) {
        try (Stream<Path> files = Files.walk(folder)) {
            files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
        } catch (IOException e) {
            say("the folder " + folder + " is left behind");
        }
    }

    private static String host() {
        try {
            return InetAddress.getLocalHost().getHostName();
        } catch (UnknownHostException e) {
            return "worker";
        }
    }

    private static void say(String sentence) {
        System.err.println("tychon: " + sentence);
    }
}
