package app.tychon.e2e.campaign;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;

/** {@code ./tychon campaign}: faults at length, with a table of what became of them, which docs/reliability.md keeps. */
public final class Campaign {
    static final long SEED = 20_261_126;

    /** Of what happens to machines. */
    private static final int MOST_ROUNDS = 20;

    private Campaign() {}

    /** @param args the server's jar, a project file, how many kills, how many files, how many minutes two edit one row */
    public static void main(String[] args) throws IOException, InterruptedException {
        Path jar = Path.of(args[0]);
        Path demo = Path.of(args[1]);
        int kills = Integer.parseInt(args[2]);
        int files = Integer.parseInt(args[3]);
        int minutes = Integer.parseInt(args[4]);
        System.out.println("| what | how often | what went wrong | how long |");
        System.out.println("| --- | --- | --- | --- |");
        Instant begun = Instant.now();
        MutatedFiles.Outcome spoiled = MutatedFiles.run(demo, files, SEED);
        line(
                "spoiled files: " + spoiled.read() + " read, " + spoiled.refused() + " refused, the slowest in "
                        + spoiled.slowest().toMillis() + " ms",
                Integer.toString(files),
                spoiled.faults(),
                begun);
        int rounds = Math.min(MOST_ROUNDS, kills);
        for (MachineFaults.Row row : new MachineFaults(demo).run(rounds)) {
            line(row.what(), Integer.toString(rounds), row.faults(), row.begun());
        }
        line(
                "kills of a server that two machines help with a run, which goes on",
                rounds,
                new ServerKills(jar, demo)::run);
        line(
                "kills of one of two servers behind one address, while somebody edits in a browser, another by requests, and a run works",
                rounds,
                new FellowKills(jar, demo)::run);
        line(
                "two servers cut off from each other and healed, while somebody edits at each",
                rounds,
                new FellowCuts(jar, demo)::run);
        begun = Instant.now();
        TwoEditors.Outcome both = new TwoEditors(victim(jar, demo)).run(Duration.ofMinutes(minutes));
        line(
                "two editors on one field: " + both.kept() + " edits kept, " + both.told()
                        + " held up because the other had changed it",
                minutes + " min",
                both.faults(),
                begun);
        HardTimes hard = new HardTimes(jar, demo);
        begun = Instant.now();
        line("a database that stands still again and again", "1 min", hard.slowDatabase(Duration.ofMinutes(1)), begun);
        begun = Instant.now();
        line("a database that does not answer", "2 min", hard.absentDatabase(Duration.ofMinutes(2)), begun);
        begun = Instant.now();
        line("a disk that is full for ten seconds", "5", hard.fullDisk(5), begun);
        begun = Instant.now();
        line(
                "kills of server or database in mid-edit, with a run and a file under way",
                Integer.toString(kills),
                new Kills(victim(jar, demo)).run(kills, SEED),
                begun);
    }

    private static Victim victim(Path jar, Path demo) throws IOException {
        return new Victim(jar, Files.createTempDirectory("tychon-campaign").resolve("data"), demo, Map.of());
    }

    /** What goes wrong in so many rounds. */
    private interface Rounds {
        List<String> run(int rounds) throws IOException, InterruptedException;
    }

    private static void line(String what, int rounds, Rounds faults) throws IOException, InterruptedException {
        Instant begun = Instant.now();
        line(what, Integer.toString(rounds), faults.run(rounds), begun);
    }

    private static void line(String what, String times, List<String> faults, Instant begun) {
        System.out.println("| " + what + " | " + times + " | "
                + (faults.isEmpty() ? "nothing" : String.join("; ", faults)) + " | "
                + Duration.between(begun, Instant.now()).toSeconds() + " s |");
    }
}
