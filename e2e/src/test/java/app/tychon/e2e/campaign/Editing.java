package app.tychon.e2e.campaign;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;

/**
 * Edits two rows at once, again and again, and notes what was acknowledged and what was only sent. Whatever happens meanwhile,
 * what is there afterwards must be what was acknowledged last, or something sent after it, and the same in both rows.
 */
final class Editing implements Runnable {
    /** The duration of both rows in the demo, in days. */
    static final int AT_FIRST = 40;

    private static final String ROW = "S40";
    private static final String OTHER_ROW = "S50";

    private final Victim victim;
    private final String project;
    private final Thread thread = new Thread(this, "editor");
    private volatile boolean stopped;
    private volatile int acknowledged;
    private volatile int sent;
    private volatile int refused;

    private Editing(Victim victim, String project, int from) {
        this.victim = victim;
        this.project = project;
        acknowledged = from;
        sent = from;
    }

    /** @param from days that the rows have now, or fewer than any */
    static Editing begin(Victim victim, String project, int from) {
        Editing editing = new Editing(victim, project, from);
        editing.thread.start();
        return editing;
    }

    void end() throws InterruptedException {
        stopped = true;
        thread.join();
    }

    int acknowledged() {
        return acknowledged;
    }

    /** How often it was told that something was not kept. */
    int refused() {
        return refused;
    }

    @Override
    public void run() {
        while (!stopped) {
            int next = sent + 1;
            sent = next;
            try {
                HttpResponse<String> answer = victim.send(
                        "PATCH",
                        "/api/projects/" + project + "/rows",
                        "[{\"id\":\"" + ROW + "\",\"duration\":\"" + next + "d\"},{\"id\":\"" + OTHER_ROW
                                + "\",\"duration\":\"" + next + "d\"}]");
                if (answer.statusCode() == 200) {
                    acknowledged = next;
                } else {
                    refused++;
                }
            } catch (IOException e) {
                // Nobody answered: it may have been kept or not.
            }
        }
    }

    /** What is lost or half, in sentences. */
    List<String> check(String when) throws IOException {
        JsonNode plan = victim.plan(project);
        int one = duration(plan, ROW);
        int other = duration(plan, OTHER_ROW);
        List<String> faults = new ArrayList<>();
        if (one != other) {
            faults.add(when + ": half an edit, " + one + " and " + other);
        }
        if (one < acknowledged || one > sent) {
            faults.add(
                    when + ": " + one + " days are there; " + acknowledged + " were acknowledged, " + sent + " sent");
        }
        return faults;
    }

    /** How long the rows last now, in days. */
    int days() throws IOException {
        return duration(victim.plan(project), ROW);
    }

    static int duration(JsonNode plan, String row) {
        for (JsonNode activity : plan.get("activities")) {
            if (activity.get("id").asText().equals(row)) {
                return Integer.parseInt(activity.get("duration").asText().replace("d", ""));
            }
        }
        throw new IllegalStateException("no " + row);
    }
}
