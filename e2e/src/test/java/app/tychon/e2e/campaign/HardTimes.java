package app.tychon.e2e.campaign;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;

/** What does not kill: a disk that is full, a database that is slow or does not answer. */
final class HardTimes {
    private static final int MEGABYTE = 1 << 20;
    /** The longest that an edit may wait before it is told how things stand. */
    private static final Duration LONGEST_WAIT = Duration.ofSeconds(30);

    private final Path jar;
    private final Path demo;

    HardTimes(Path jar, Path demo) {
        this.jar = jar;
        this.demo = demo;
    }

    private Victim victim(Path folder, Map<String, String> environment) throws IOException {
        return new Victim(jar, folder.resolve("data"), demo, environment);
    }

    /** The database stands still again and again, for as long as a busy machine lets it. */
    List<String> slowDatabase(Duration time) throws IOException, InterruptedException {
        Victim victim = victim(Files.createTempDirectory("tychon-slow"), Map.of());
        victim.start();
        Editing editing = Editing.begin(victim, victim.bringIn(), Editing.AT_FIRST);
        SplittableRandom random = new SplittableRandom(Campaign.SEED);
        Instant until = Instant.now().plus(time);
        while (Instant.now().isBefore(until)) {
            victim.signalDatabase("STOP");
            Victim.pause(Duration.ofMillis(random.nextInt(3_000)));
            victim.signalDatabase("CONT");
            Victim.pause(Duration.ofMillis(random.nextInt(500)));
        }
        return ended(victim, editing, "slow database");
    }

    /** The database does not answer for a time. Edits are told so, or wait; the server says that it cannot work. */
    List<String> absentDatabase(Duration time) throws IOException, InterruptedException {
        Victim victim = victim(Files.createTempDirectory("tychon-absent"), Map.of());
        victim.start();
        Editing editing = Editing.begin(victim, victim.bringIn(), Editing.AT_FIRST);
        Victim.pause(Duration.ofSeconds(2));
        List<String> faults = new ArrayList<>();
        victim.signalDatabase("STOP");
        Instant until = Instant.now().plus(time);
        Victim.pause(Duration.ofSeconds(1));
        while (Instant.now().isBefore(until)) {
            Instant asked = Instant.now();
            HttpResponse<String> health = victim.send("GET", "/health", "");
            Duration took = Duration.between(asked, Instant.now());
            if (health.statusCode() != 503
                    && victim.database().isAlive()
                    && Instant.now().isBefore(until)) {
                faults.add("while the database stood still, health was " + health.statusCode());
            }
            if (took.compareTo(LONGEST_WAIT) > 0) {
                faults.add("health took " + took.toSeconds() + " s to tell");
            }
            Victim.pause(Duration.ofSeconds(5));
        }
        victim.signalDatabase("CONT");
        int before = editing.acknowledged();
        awaitMore(editing, before, faults);
        faults.addAll(ended(victim, editing, "absent database"));
        return faults;
    }

    /** The disk fills up while files come in, and has room again. */
    List<String> fullDisk(int rounds) throws IOException, InterruptedException {
        Path folder = Files.createTempDirectory("tychon-full");
        if (new ProcessBuilder("mount", "-t", "tmpfs", "-o", "size=900m", "tychon-full", folder.toString())
                        .start()
                        .waitFor()
                != 0) {
            return List.of("not done: a small disk cannot be made here; that needs the right to mount");
        }
        List<String> faults = new ArrayList<>();
        try {
            Victim victim = victim(folder, Map.of());
            victim.start();
            String project = victim.bringIn();
            int days = Editing.AT_FIRST;
            for (int round = 1; round <= rounds; round++) {
                Editing editing = Editing.begin(victim, project, days);
                Path filler = folder.resolve("filler");
                fill(filler);
                for (int i = 0; i < 10; i++) {
                    victim.begin("POST", "/api/projects", victim.demo());
                }
                Victim.pause(Duration.ofSeconds(10));
                Files.delete(filler);
                awaitMore(editing, editing.acknowledged(), faults);
                editing.end();
                faults.addAll(editing.check("full disk " + round));
                days = editing.days();
            }
            victim.stop();
        } finally {
            new ProcessBuilder("umount", "-l", folder.toString()).start().waitFor();
        }
        return faults;
    }

    private static void fill(Path filler) throws IOException {
        byte[] block = new byte[MEGABYTE];
        try (var out = Files.newOutputStream(filler)) {
            while (true) {
                out.write(block);
            }
        } catch (IOException e) {
            // Full, as it should be.
        }
    }

    /** Edits are acknowledged again within a minute or so. */
    private static void awaitMore(Editing editing, int than, List<String> faults) {
        Instant until = Instant.now().plusSeconds(90);
        while (editing.acknowledged() <= than) {
            if (Instant.now().isAfter(until)) {
                faults.add("nothing was acknowledged within 90 s after it was over");
                return;
            }
            Victim.pause(Duration.ofMillis(200));
        }
    }

    private static List<String> ended(Victim victim, Editing editing, String what)
            throws IOException, InterruptedException {
        editing.end();
        List<String> faults = editing.check(what);
        victim.stop();
        return faults;
    }
}
