package app.tychon.server.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.tychon.server.TestDatabase;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** Two people on the same project, over real connections. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
class TwoEditorsTest {
    private static final Path GARDEN = Path.of("..", "examples", "garden-room.tychon.json");
    private static final Duration PATIENCE = Duration.ofSeconds(20);

    private final HttpClient client = HttpClient.newHttpClient();

    @LocalServerPort
    private int port;

    @Autowired
    private ObjectMapper json;

    private String project;

    @DynamicPropertySource
    static void database(DynamicPropertyRegistry registry) {
        TestDatabase.use(registry);
    }

    @BeforeEach
    void bringIn() throws Exception {
        HttpRequest request = to("/api/projects")
                .POST(HttpRequest.BodyPublishers.ofFile(GARDEN))
                .build();
        project = json.readTree(send(request).body()).get("id").asText();
    }

    private HttpRequest.Builder to(String path) {
        return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                .header("Tychon-Person", "tester")
                .header("Content-Type", "application/json");
    }

    private HttpResponse<String> send(HttpRequest request) throws IOException, InterruptedException {
        return client.send(request, HttpResponse.BodyHandlers.ofString());
    }

    private HttpRequest edit(String body, int revision) {
        return to("/api/projects/" + project + "/rows")
                .header("If-Match", "\"" + revision + "\"")
                .method("PATCH", HttpRequest.BodyPublishers.ofString(body))
                .build();
    }

    @Test
    void ofTwoEditsOfTheSameRevisionOneIsStoredAndTheOtherTold() throws Exception {
        ExecutorService both = Executors.newFixedThreadPool(2);
        try {
            List<Callable<Integer>> edits = List.of(
                    () -> send(edit("[{\"id\":\"G10\",\"duration\":\"9d\"}]", 1))
                            .statusCode(),
                    () -> send(edit("[{\"id\":\"G20\",\"duration\":\"6d\"}]", 1))
                            .statusCode());
            List<Integer> answers = both.invokeAll(edits).stream()
                    .map(TwoEditorsTest::result)
                    .sorted()
                    .toList();
            assertThat(answers).containsExactly(200, 409);
        } finally {
            both.shutdownNow();
        }
    }

    private static int result(Future<Integer> answer) {
        try {
            return answer.get();
        } catch (Exception e) {
            throw new AssertionError(e);
        }
    }

    @Test
    void theOtherWindowIsToldOfEditsAndRunsAsTheyHappen() throws Exception {
        HttpRequest listen = HttpRequest.newBuilder(
                        URI.create("http://127.0.0.1:" + port + "/api/projects/" + project + "/events"))
                .build();
        StringBuffer heard = new StringBuffer();
        try (InputStream events =
                client.send(listen, HttpResponse.BodyHandlers.ofInputStream()).body()) {
            Thread reader = new Thread(() -> read(events, heard));
            reader.setDaemon(true);
            reader.start();
            await().atMost(PATIENCE).until(() -> heard.toString().contains("event:open"));

            assertThat(send(edit("[{\"id\":\"G10\",\"duration\":\"9d\"}]", 1)).statusCode())
                    .isEqualTo(200);
            await().atMost(PATIENCE).until(() -> heard.toString().contains("\"revision\":2"));

            send(to("/api/projects/" + project + "/runs")
                    .POST(HttpRequest.BodyPublishers.ofString("{\"iterations\":500,\"seed\":1}"))
                    .build());
            await().atMost(PATIENCE).until(() -> heard.toString().contains("\"state\":\"done\""));
        }
    }

    private static void read(InputStream events, StringBuffer heard) {
        byte[] some = new byte[1024];
        try {
            for (int n = events.read(some); n >= 0; n = events.read(some)) {
                heard.append(new String(some, 0, n, StandardCharsets.UTF_8));
            }
        } catch (IOException closed) {
            heard.append("closed");
        }
    }

    @Test
    void eventsOfAProjectThatIsNotThereAreRefused() throws Exception {
        HttpRequest listen = to("/api/projects/00000000-0000-7000-8000-000000000000/events")
                .GET()
                .build();
        assertThat(send(listen).statusCode()).isEqualTo(404);
    }
}
