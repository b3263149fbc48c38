package app.tychon.e2e.campaign;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;

/** {@code ./tychon campaign}: faults at length, with a table of what became of them, which docs/reliability.md keeps. */
public final class Campaign {
    static final long SEED = 20_261_126;

    private Campaign() {}

    /** @param args the server's jar, a project file, how many kills, how many files */
    public static void main(String[] args) throws IOException, InterruptedException {
        Path jar = Path.of(args[0]);
        Path demo = Path.of(args[1]);
        int kills = Integer.parseInt(args[2]);
        int files = Integer.parseInt(args[3]);
        System.out.println("| what | how often | what went wrong | how long |");
        System.out.println("| --- | --- | --- | --- |");
        Instant begun = Instant.now();
        MutatedFiles.Outcome spoiled = MutatedFiles.run(demo, files, SEED);
        line(
                "spoiled files: " + spoiled.read() + " read, " + spoiled.refused() + " refused, the slowest in "
                        + spoiled.slowest().toMillis() + " ms",
                files,
                spoiled.faults(),
                begun);
        begun = Instant.now();
        Path data = Files.createTempDirectory("tychon-campaign").resolve("data");
        line(
                "kills of server or database in mid-edit, with a run and a file under way",
                kills,
                new Kills(jar, data, demo).run(kills, SEED),
                begun);
    }

    private static void line(String what, int times, List<String> faults, Instant begun) {
        System.out.println("| " + what + " | " + times + " | "
                + (faults.isEmpty() ? "nothing" : String.join("; ", faults)) + " | "
                + Duration.between(begun, Instant.now()).toSeconds() + " s |");
    }
}
