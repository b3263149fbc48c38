package app.tychon.e2e.campaign;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;

/**
 * Two edit the same field of one row, each from what they saw last. None may overwrite what they have not seen; whoever would is
 * told, and looks anew.
 */
final class TwoEditors {
    private static final String ROW = "S40";

    private final Victim victim;

    TwoEditors(Victim victim) {
        this.victim = victim;
    }

    /** An edit that was acknowledged. */
    private record Kept(long seen, long revision, int days) {}

    /** What became of all edits: how many were kept, how many were held up, and what was wrong. */
    record Outcome(int kept, int told, List<String> faults) {}

    Outcome run(Duration time) throws IOException, InterruptedException {
        victim.start();
        String project = victim.bringIn();
        Instant until = Instant.now().plus(time);
        Queue<Kept> kept = new ConcurrentLinkedQueue<>();
        Queue<String> told = new ConcurrentLinkedQueue<>();
        List<String> faults = new ArrayList<>();
        List<Thread> editors = new ArrayList<>();
        for (int i = 0; i < 2; i++) {
            int first = 1_000 * (i + 1);
            String key = "editor-" + i;
            Thread editor = new Thread(() -> edit(project, key, first, until, kept, told), key);
            editor.start();
            editors.add(editor);
        }
        for (Thread editor : editors) {
            editor.join();
        }
        List<Kept> inOrder =
                kept.stream().sorted(Comparator.comparing(Kept::revision)).toList();
        for (int i = 1; i < inOrder.size(); i++) {
            if (inOrder.get(i).seen() < inOrder.get(i - 1).revision()) {
                faults.add("edit " + inOrder.get(i) + " overwrote " + inOrder.get(i - 1) + " unseen");
            }
        }
        JsonNode plan = victim.plan(project);
        String last = inOrder.get(inOrder.size() - 1).days() + "d";
        for (JsonNode activity : plan.get("activities")) {
            if (activity.get("id").asText().equals(ROW)
                    && !activity.get("duration").asText().equals(last)) {
                faults.add("the last edit was " + last + ", there is " + activity.get("duration"));
            }
        }
        victim.stop();
        return new Outcome(inOrder.size(), told.size(), faults);
    }

    private void edit(String project, String key, int first, Instant until, Queue<Kept> kept, Queue<String> told) {
        try {
            long seen = victim.plan(project).at("/project/revision").asLong();
            int days = first;
            while (Instant.now().isBefore(until)) {
                days = first + (days + 1) % 900;
                HttpResponse<String> answer = victim.send(
                        "PATCH",
                        "/api/projects/" + project + "/rows",
                        "[{\"id\":\"" + ROW + "\",\"duration\":\"" + days + "d\"}]",
                        "If-Match",
                        "\"" + seen + "\"",
                        "Tychon-Person",
                        key);
                if (answer.statusCode() == 200) {
                    long revision =
                            Victim.JSON.readTree(answer.body()).get("revision").asLong();
                    kept.add(new Kept(seen, revision, days));
                    seen = revision;
                } else {
                    told.add(answer.body());
                    seen = victim.plan(project).at("/project/revision").asLong();
                }
            }
        } catch (IOException e) {
            told.add("nobody answered: " + e);
        }
    }
}
