package app.tychon.server.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.tychon.server.ServerTest;
import app.tychon.server.TestDatabase;
import com.fasterxml.jackson.databind.JsonNode;
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
import org.springframework.boot.test.web.server.LocalServerPort;

/** Two people on the same project, over real connections. */
class TwoEditorsTest extends ServerTest {
    private static final Path GARDEN = Path.of("..", "examples", "garden-room.tychon.json");
    private static final Duration PATIENCE = Duration.ofSeconds(20);

    private final HttpClient client = HttpClient.newHttpClient();

    @LocalServerPort
    private int port;

    private String project;

    @BeforeEach
    void garden() throws Exception {
        HttpRequest request = to("/api/projects")
                .POST(HttpRequest.BodyPublishers.ofFile(GARDEN))
                .build();
        project = json.readTree(send(request).body()).get("id").asText();
    }

    private HttpRequest.Builder to(String path) {
        return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                .header("Authorization", "Bearer " + TestDatabase.MACHINE_KEY)
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
    void ofTwoEditsOfOneFieldOneIsStoredAndTheOtherToldOfIt() throws Exception {
        assertThat(together("[{\"id\":\"G10\",\"duration\":\"9d\"}]", "[{\"id\":\"G10\",\"duration\":\"6d\"}]"))
                .containsExactly(200, 409);
        JsonNode clash = json.readTree(
                        send(edit("[{\"id\":\"G10\",\"duration\":\"4d\"}]", 1)).body())
                .at("/clashes/0");
        assertThat(clash.get("key").asText()).isEqualTo("G10");
        assertThat(clash.get("field").asText()).isEqualTo("duration");
        assertThat(clash.get("theirs").asText()).isIn("9d", "6d");
        assertThat(clash.get("mine").asText()).isEqualTo("4d");
        assertThat(clash.has("was")).isTrue();
    }

    @Test
    void twoWhoEditDifferentFieldsDoNotHinderEachOther() throws Exception {
        assertThat(together(
                        "[{\"id\":\"G10\",\"duration\":\"9d\"}]", "[{\"id\":\"G10\",\"name\":\"Clear the ground\"}]"))
                .containsExactly(200, 200);
        String plan =
                send(to("/api/projects/" + project + "/plan").GET().build()).body();
        assertThat(plan).contains("\"Clear the ground\"").contains("\"duration\":\"9d\"");
    }

    @Test
    void whatSomebodyElseHasEditedMeanwhileIsNotTakenAwayUnseen() throws Exception {
        assertThat(send(edit("[{\"id\":\"G20\",\"duration\":\"9d\"}]", 1)).statusCode())
                .isEqualTo(200);
        HttpRequest removal = to("/api/projects/" + project + "/rows/remove")
                .header("If-Match", "\"1\"")
                .POST(HttpRequest.BodyPublishers.ofString("{\"rows\":[\"G20\"],\"join\":false}"))
                .build();
        assertThat(send(removal).statusCode()).isEqualTo(409);
    }

    /** What two edits of the first revision are answered with, sent at once. */
    private List<Integer> together(String one, String other) throws Exception {
        ExecutorService both = Executors.newFixedThreadPool(2);
        try {
            List<Callable<Integer>> edits = List.of(() -> send(edit(one, 1)).statusCode(), () -> send(edit(other, 1))
                    .statusCode());
            return both.invokeAll(edits).stream()
                    .map(TwoEditorsTest::result)
                    .sorted()
                    .toList();
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
        HttpRequest listen = to("/api/projects/" + project + "/events").build();
        StringBuffer heard = new StringBuffer();
        try (InputStream events =
                client.send(listen, HttpResponse.BodyHandlers.ofInputStream()).body()) {
            reading(events, heard);
            await().atMost(PATIENCE).until(() -> heard.toString().contains("event:standing"));

            assertThat(send(edit("[{\"id\":\"G10\",\"duration\":\"9d\"}]", 1)).statusCode())
                    .isEqualTo(200);
            await().atMost(PATIENCE).until(() -> heard.toString().contains("\"revision\":2"));

            send(to("/api/projects/" + project + "/runs")
                    .POST(HttpRequest.BodyPublishers.ofString("{\"iterations\":500,\"seed\":1}"))
                    .build());
            await().atMost(PATIENCE).until(() -> heard.toString().contains("\"state\":\"done\""));
        }
    }

    @Test
    void aWindowThatListensAnewIsStillWhereItWasAndWhatItListenedToBeforeEnds() throws Exception {
        HttpRequest listen =
                to("/api/projects/" + project + "/events?window=w1").build();
        StringBuffer before = new StringBuffer();
        StringBuffer after = new StringBuffer();
        try (InputStream first =
                client.send(listen, HttpResponse.BodyHandlers.ofInputStream()).body()) {
            reading(first, before);
            await().atMost(PATIENCE).until(() -> before.toString().contains("event:presence"));
            send(to("/api/projects/" + project + "/presence")
                    .POST(HttpRequest.BodyPublishers.ofString("{\"window\":\"w1\",\"stage\":\"risks\",\"row\":\"R1\"}"))
                    .build());
            assertThat(send(edit("[{\"id\":\"G10\",\"duration\":\"9d\"}]", 1)).statusCode())
                    .isEqualTo(200);
            try (InputStream second = client.send(listen, HttpResponse.BodyHandlers.ofInputStream())
                    .body()) {
                reading(second, after);
                await().atMost(PATIENCE).until(() -> after.toString().contains("\"row\":\"R1\""));
                await().atMost(PATIENCE).until(() -> before.toString().endsWith("ended"));
                assertThat(after.toString()).contains("event:standing\ndata:{\"revision\":2}");

                send(edit("[{\"id\":\"G10\",\"duration\":\"8d\"}]", 2));
                await().atMost(PATIENCE).until(() -> after.toString().contains("\"revision\":3"));
                assertThat(after.toString().split("event:presence", -1))
                        .as("nobody has left when the first of the two ended")
                        .hasSize(2);
            }
        }
    }

    private static void reading(InputStream events, StringBuffer heard) {
        Thread reader = new Thread(() -> read(events, heard));
        reader.setDaemon(true);
        reader.start();
    }

    private static void read(InputStream events, StringBuffer heard) {
        byte[] some = new byte[1024];
        try {
            for (int n = events.read(some); n >= 0; n = events.read(some)) {
                heard.append(new String(some, 0, n, StandardCharsets.UTF_8));
            }
            heard.append("ended");
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
