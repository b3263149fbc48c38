package app.tychon.e2e.campaign;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;

/** Recorded runs of a server to which bad things happen. */
final class Runs {
    private static final String RUN = "{\"iterations\":150000,\"seed\":7}";
    private static final Duration PATIENCE = Duration.ofMinutes(3);

    private Runs() {}

    static String begun(Victim victim, String project) throws IOException {
        return begun(
                victim.send("POST", "/api/projects/" + project + "/runs", RUN).body());
    }

    /** Of the inputs and settings of another run, by which its numbers are the same. */
    static String again(Victim victim, String run) throws IOException {
        return begun(victim.send("POST", "/api/runs/" + run + "/again", "").body());
    }

    private static String begun(String answer) throws IOException {
        JsonNode run = Victim.JSON.readTree(answer);
        if (!run.has("id")) {
            throw new IOException("no run was begun: " + answer);
        }
        return run.get("id").asText();
    }

    static String state(Victim victim, String run) throws IOException {
        return Victim.JSON
                .readTree(victim.awaited("/api/runs/" + run))
                .get("state")
                .asText();
    }

    /** Waits until a run is through. */
    static String ended(Victim victim, String run) throws IOException {
        Instant until = Instant.now().plus(PATIENCE);
        while (!state(victim, run).equals("done")) {
            if (Instant.now().isAfter(until)) {
                throw new IOException("run " + run + " does not end; it is " + state(victim, run));
            }
            Victim.pause(Duration.ofMillis(200));
        }
        return run;
    }

    static String numbers(Victim victim, String run) throws IOException {
        return victim.awaited("/api/runs/" + run + "/dates?levels=1,10,50,80,99")
                + victim.awaited("/api/runs/" + run + "/amounts?levels=1,10,50,80,99")
                + victim.awaited("/api/runs/" + run + "/drivers/criticality");
    }
}
