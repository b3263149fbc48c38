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
import java.util.Map;
import java.util.concurrent.locks.LockSupport;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A server on data of its own, to which bad things happen. */
final class Victim {
    static final ObjectMapper JSON = new ObjectMapper();
    private static final Duration PATIENCE = Duration.ofSeconds(120);

    private static final Pattern ENTRANCE = Pattern.compile("/enter/[\\w-]+");

    private final Path jar;
    private final Path data;
    private final Path demo;
    private final Map<String, String> environment;
    private final int port;
    private final HttpClient http =
            HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(5)).build();
    private Process server;

    /**
     * @param data its folder, which it makes
     * @param environment what is to be set besides
     */
    Victim(Path jar, Path data, Path demo, Map<String, String> environment) throws IOException {
        this(jar, data, demo, environment, freePort());
    }

    private Victim(Path jar, Path data, Path demo, Map<String, String> environment, int port) {
        this.jar = jar;
        this.data = data;
        this.demo = demo;
        this.environment = environment;
        this.port = port;
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    /** Starts it and waits until it answers. */
    void start() throws IOException {
        ProcessBuilder builder =
                new ProcessBuilder("java", "-Xmx1g", "-XX:TieredStopAtLevel=1", "-jar", jar.toString());
        builder.environment().put("TYCHON_DATA", data.toString());
        builder.environment().put("TYCHON_PORT", Integer.toString(port));
        builder.environment().put("TYCHON_EXAMPLES", demo.getParent().toString());
        builder.environment().putAll(environment);
        server = builder.redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(new File(log())))
                .start();
        awaited("/api/projects");
    }

    int port() {
        return port;
    }

    /** The same server, reached at another address. */
    Victim through(int front) {
        return new Victim(jar, data, demo, environment, front);
    }

    /** The way in for a browser that it has told last. */
    String entrance() throws IOException {
        Matcher told = ENTRANCE.matcher(Files.readString(Path.of(log())));
        String last = null;
        while (told.find()) {
            last = told.group();
        }
        return last;
    }

    String log() {
        return data + ".log";
    }

    /** Ends it as a machine does that loses its power. */
    void kill() throws InterruptedException {
        server.destroyForcibly().waitFor();
    }

    void stop() throws InterruptedException {
        server.destroy();
        server.waitFor();
    }

    /** Its database, if that is there. */
    ProcessHandle database() throws IOException {
        long pid = Long.parseLong(Files.readString(data.resolve("mariadb.pid")).strip());
        return ProcessHandle.of(pid).orElseThrow(() -> new IOException("the database is not there"));
    }

    /** Sends a signal to the database. */
    void signalDatabase(String signal) throws IOException, InterruptedException {
        new ProcessBuilder("kill", "-" + signal, Long.toString(database().pid()))
                .start()
                .waitFor();
    }

    /** Brings the demo in and returns the id of its project. */
    String bringIn() throws IOException {
        return JSON.readTree(send("POST", "/api/projects", demo()).body())
                .get("id")
                .asText();
    }

    String demo() throws IOException {
        return Files.readString(demo);
    }

    JsonNode plan(String project) throws IOException {
        return JSON.readTree(awaited("/api/projects/" + project + "/plan"));
    }

    /** Asks until it is answered well. */
    String awaited(String path) throws IOException {
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
                throw new IOException("the server did not come back; see " + log());
            }
            pause(Duration.ofMillis(200));
        }
    }

    /** Waits until it sees so many machines of a kind. */
    void awaitMachines(String kind, int many) throws IOException {
        Instant until = Instant.now().plus(PATIENCE);
        while (true) {
            int there = 0;
            for (JsonNode machine : JSON.readTree(awaited("/api/machines")).get("machines")) {
                there += machine.get("kind").asText().equals(kind) ? 1 : 0;
            }
            if (there == many) {
                return;
            }
            if (Instant.now().isAfter(until)) {
                throw new IOException("there are " + there + " of " + many + " machines (" + kind + ")");
            }
            pause(Duration.ofMillis(200));
        }
    }

    static void pause(Duration time) {
        LockSupport.parkNanos(time.toNanos());
    }

    void begin(String method, String path, String body) throws IOException {
        http.sendAsync(request(method, path, body).build(), HttpResponse.BodyHandlers.ofString());
    }

    HttpResponse<String> send(String method, String path, String body, String... headers) throws IOException {
        HttpRequest.Builder request = request(method, path, body);
        if (headers.length > 0) {
            request.headers(headers);
        }
        try {
            return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        }
    }

    private HttpRequest.Builder request(String method, String path, String body) throws IOException {
        Path key = data.resolve("machine-key");
        return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                .timeout(Duration.ofSeconds(60))
                .header("Content-Type", "application/json")
                .header(
                        "Authorization",
                        "Bearer " + (Files.exists(key) ? Files.readString(key).strip() : "none"))
                .method(method, HttpRequest.BodyPublishers.ofString(body));
    }
}
