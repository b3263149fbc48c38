package app.tychon.e2e.campaign;

import app.tychon.e2e.Workers;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;

/**
 * Kills a server while two machines help it with a run. Started again, it says that the run was cut short, and goes on with it; the
 * workers come back by themselves, and the numbers are those of a run that nobody disturbed.
 */
final class ServerKills {

    private final Path jar;
    private final Path demo;

    ServerKills(Path jar, Path demo) {
        this.jar = jar;
        this.demo = demo;
    }

    /** @return what went wrong, in sentences; none where all was well */
    List<String> run(int kills) throws IOException, InterruptedException {
        Path folder = Files.createTempDirectory("tychon-server-kills");
        List<String> faults = new ArrayList<>();
        try (Workers workers = new Workers(folder)) {
            Victim victim = new Victim(jar, folder.resolve("data"), demo, workers.environment());
            victim.start();
            workers.join("one");
            workers.join("two");
            String project = victim.bringIn();
            String expected = Runs.numbers(victim, Runs.ended(victim, Runs.begun(victim, project)));
            SplittableRandom random = new SplittableRandom(Campaign.SEED);
            int helped = 0;
            for (int round = 1; round <= kills; round++) {
                victim.awaitMachines("worker", 2);
                String run = Runs.begun(victim, project);
                Victim.pause(Duration.ofMillis(300 + random.nextInt(3_000)));
                helped += victim.awaited("/api/machines").contains("\"work\":[{") ? 1 : 0;
                victim.kill();
                victim.start();
                if (Runs.state(victim, run).equals("interrupted")) {
                    victim.send("POST", "/api/runs/" + run + "/resume", "");
                }
                if (!Runs.numbers(victim, Runs.ended(victim, run)).equals(expected)) {
                    faults.add("kill " + round + ": other numbers came out");
                }
            }
            if (helped < kills / 2) {
                faults.add("machines had blocks in hand in " + helped + " of " + kills + " rounds only");
            }
            victim.stop();
        }
        return faults;
    }
}
