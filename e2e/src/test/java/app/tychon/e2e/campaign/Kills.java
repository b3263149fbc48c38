package app.tychon.e2e.campaign;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;

/**
 * Kills the server or its database at any moment while somebody edits, a run works and a file comes in. Whatever was
 * acknowledged must be there afterwards, and nothing half.
 */
final class Kills {
    private final Victim victim;

    Kills(Victim victim) {
        this.victim = victim;
    }

    /** @return what was lost or half, in sentences; none where all was well */
    List<String> run(int kills, long seed) throws IOException, InterruptedException {
        SplittableRandom random = new SplittableRandom(seed);
        List<String> faults = new ArrayList<>();
        victim.start();
        String project = victim.bringIn();
        int days = Editing.AT_FIRST;
        for (int round = 1; round <= kills; round++) {
            boolean ofServer = random.nextBoolean();
            Editing editing = Editing.begin(victim, project, days);
            victim.begin("POST", "/api/projects/" + project + "/runs", "{\"iterations\":150000,\"seed\":1}");
            victim.begin("POST", "/api/projects", victim.demo());
            Victim.pause(Duration.ofMillis(100 + random.nextInt(1_500)));
            if (ofServer) {
                victim.kill();
            } else {
                victim.database().destroyForcibly();
            }
            editing.end();
            if (ofServer) {
                victim.start();
            }
            String when = "kill " + round + (ofServer ? " (server)" : " (database)");
            faults.addAll(editing.check(when));
            faults.addAll(whole(when, project));
            days = editing.days();
        }
        victim.stop();
        return faults;
    }

    private List<String> whole(String when, String project) throws IOException {
        int activities = victim.plan(project).get("activities").size();
        List<String> faults = new ArrayList<>();
        for (JsonNode listed : Victim.JSON.readTree(victim.awaited("/api/projects"))) {
            if (listed.get("activities").asInt() != activities) {
                faults.add(when + ": a project came in half, with " + listed.get("activities") + " activities");
            }
        }
        return faults;
    }
}
