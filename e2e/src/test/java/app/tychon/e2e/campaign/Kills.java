package app.tychon.e2e.campaign;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.File;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.concurrent.locks.LockSupport;

/**
 * Kills the server or its database at any moment while somebody edits, a run works and a file comes in. Whatever was
 * acknowledged must be there afterwards, and nothing half.
 */
final class Kills {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final Duration PATIENCE = Duration.ofSeconds(120);
    private static final String ROW = "S40";
    private static final String OTHER_ROW = "S50";

    private final Path jar;
    private final Path data;
    private final Path demo;
    private final int port;
    private final HttpClient http =
            HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(5)).build();
    private Process server;
    private String project;

    Kills(Path jar, Path data, Path demo) throws IOException {
        this.jar = jar;
        this.data = data;
        this.demo = demo;
        try (ServerSocket socket = new ServerSocket(0)) {
            port = socket.getLocalPort();
        }
    }

    /** @return what was lost or half, in sentences; none where all was well */
    List<String> run(int kills, long seed) throws IOException, InterruptedException {
        SplittableRandom random = new SplittableRandom(seed);
        List<String> faults = new ArrayList<>();
        start();
        project = JSON.readTree(
                        send("POST", "/api/projects", Files.readString(demo)).body())
                .get("id")
                .asText();
        int acknowledged = 40;
        for (int round = 1; round <= kills; round++) {
            boolean ofServer = random.nextBoolean();
            Editing editing = new Editing(acknowledged);
            Thread editor = new Thread(editing, "editor");
            editor.start();
            begin("POST", "/api/projects/" + project + "/runs", "{\"iterations\":200000,\"seed\":1}");
            begin("POST", "/api/projects", Files.readString(demo));
            LockSupport.parkNanos(Duration.ofMillis(100 + random.nextInt(1_500)).toNanos());
            if (ofServer) {
                server.destroyForcibly().waitFor();
            } else {
                killDatabase();
            }
            editing.stop();
            editor.join();
            if (ofServer) {
                start();
            }
            acknowledged = check(round + (ofServer ? " (server)" : " (database)"), editing, faults);
        }
        server.destroy();
        server.waitFor();
        return faults;
    }

    /** Edits two rows at once, again and again, and notes what was acknowledged and what was only sent. */
    private final class Editing implements Runnable {
        private volatile boolean stopped;
        private volatile int acknowledged;
        private volatile int sent;

        Editing(int from) {
            acknowledged = from;
            sent = from;
        }

        void stop() {
            stopped = true;
        }

        @Override
        public void run() {
            while (!stopped) {
                int next = sent + 1;
                sent = next;
                try {
                    HttpResponse<String> answer = send(
                            "PATCH",
                            "/api/projects/" + project + "/rows",
                            "[{\"id\":\"" + ROW + "\",\"duration\":\"" + next + "d\"},{\"id\":\"" + OTHER_ROW
                                    + "\",\"duration\":\"" + next + "d\"}]");
                    if (answer.statusCode() == 200) {
                        acknowledged = next;
                    }
                } catch (IOException e) {
                    // Nobody answered: it may have been kept or not.
                }
            }
        }
    }

    /** What is there must be what was acknowledged last, or something sent after it, and the same in both rows. */
    private int check(String round, Editing editing, List<String> faults) throws IOException {
        JsonNode plan = JSON.readTree(awaited("/api/projects/" + project + "/plan"));
        int one = duration(plan, ROW);
        int other = duration(plan, OTHER_ROW);
        if (one != other) {
            faults.add("kill " + round + ": half an edit, " + one + " and " + other);
        }
        if (one < editing.acknowledged || one > editing.sent) {
            faults.add("kill " + round + ": " + one + " days are there; " + editing.acknowledged
                    + " were acknowledged, " + editing.sent + " sent");
        }
        for (JsonNode listed : JSON.readTree(awaited("/api/projects"))) {
            if (listed.get("activities").asInt() != plan.get("activities").size()) {
                faults.add(
                        "kill " + round + ": a project came in half, with " + listed.get("activities") + " activities");
            }
        }
        return one;
    }

    private static int duration(JsonNode plan, String row) {
        for (JsonNode activity : plan.get("activities")) {
            if (activity.get("id").asText().equals(row)) {
                return Integer.parseInt(activity.get("duration").asText().replace("d", ""));
            }
        }
        throw new IllegalStateException("no " + row);
    }

    private void start() throws IOException {
        ProcessBuilder builder =
                new ProcessBuilder("java", "-Xmx1g", "-XX:TieredStopAtLevel=1", "-jar", jar.toString());
        builder.environment().put("TYCHON_DATA", data.toString());
        builder.environment().put("TYCHON_PORT", Integer.toString(port));
        builder.environment().put("TYCHON_EXAMPLES", demo.getParent().toString());
        server = builder.redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(new File(data.toString() + ".log")))
                .start();
        awaited("/api/projects");
    }

    private void killDatabase() throws IOException {
        long pid = Long.parseLong(Files.readString(data.resolve("mariadb.pid")).strip());
        ProcessHandle.of(pid).ifPresent(ProcessHandle::destroyForcibly);
    }

    /** Asks until it is answered well. */
    private String awaited(String path) throws IOException {
        Instant until = Instant.now().plus(PATIENCE);
        while (true) {
            try {
                HttpResponse<String> answer = send("GET", path, "");
                if (answer.statusCode() == 200) {
                    return answer.body();
                }
            } catch (IOException e) {
                // Not there yet.
            }
            if (Instant.now().isAfter(until)) {
                throw new IOException("the server did not come back; see " + data + ".log");
            }
            LockSupport.parkNanos(Duration.ofMillis(200).toNanos());
        }
    }

    private void begin(String method, String path, String body) throws IOException {
        http.sendAsync(request(method, path, body), HttpResponse.BodyHandlers.ofString());
    }

    private HttpResponse<String> send(String method, String path, String body) throws IOException {
        try {
            return http.send(request(method, path, body), HttpResponse.BodyHandlers.ofString());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        }
    }

    private HttpRequest request(String method, String path, String body) throws IOException {
        Path key = data.resolve("machine-key");
        return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                .timeout(Duration.ofSeconds(60))
                .header("Content-Type", "application/json")
                .header(
                        "Authorization",
                        "Bearer " + (Files.exists(key) ? Files.readString(key).strip() : "none"))
                .method(method, HttpRequest.BodyPublishers.ofString(body))
                .build();
    }
}
