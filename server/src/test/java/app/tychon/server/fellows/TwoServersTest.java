package app.tychon.server.fellows;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.tychon.machines.Address;
import app.tychon.machines.Crew;
import app.tychon.machines.Secret;
import app.tychon.server.TestDatabase;
import app.tychon.server.TychonApplication;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/** Two servers on one database: what is done at one is seen at the other, and what one leaves the other takes over. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class TwoServersTest {
    private static final Duration PATIENCE = Duration.ofSeconds(60);
    private static final HttpClient HTTP = HttpClient.newHttpClient();
    private static final ObjectMapper JSON = new ObjectMapper();

    @TempDir
    static Path folder;

    private static Server one;
    private static Server other;

    /** A server with its place among the others. */
    private record Server(ConfigurableApplicationContext context, Crew crew) {
        static Server start(String name, Address listen, List<Address> others, Secret secret) {
            Crew crew = Crew.start(name, listen, others, secret, folder.resolve(name));
            SpringApplication application = new SpringApplication(TychonApplication.class);
            Map<String, Object> properties = new HashMap<>(TestDatabase.properties());
            properties.put("server.port", 0);
            application.setDefaultProperties(properties);
            application.addInitializers(context -> context.getBeanFactory().registerSingleton("crew", crew));
            return new Server(application.run(), crew);
        }

        HttpRequest.Builder request(String path) {
            int port = ((WebServerApplicationContext) context).getWebServer().getPort();
            return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                    .header("Content-Type", "application/json")
                    .header("Tychon-Person", "tester")
                    .header("Authorization", "Bearer " + TestDatabase.MACHINE_KEY);
        }

        JsonNode send(String method, String path, String body) {
            try {
                HttpResponse<String> answer = HTTP.send(
                        request(path)
                                .method(method, HttpRequest.BodyPublishers.ofString(body))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
                assertThat(answer.statusCode())
                        .as("%s %s: %s", method, path, answer.body())
                        .isBetween(200, 299);
                return answer.body().isEmpty() ? JSON.nullNode() : JSON.readTree(answer.body());
            } catch (IOException e) {
                throw new IllegalStateException(e);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IllegalStateException(e);
            }
        }

        JsonNode read(String path) {
            return send("GET", path, "");
        }

        /** What a window at this server hears of a project from now on. */
        Queue<String> listen(String project, String window) {
            Queue<String> heard = new ConcurrentLinkedQueue<>();
            HTTP.sendAsync(
                            request("/api/projects/" + project + "/events?window=" + window)
                                    .build(),
                            HttpResponse.BodyHandlers.ofLines())
                    .thenAccept(answer -> answer.body().forEach(heard::add));
            await().atMost(PATIENCE).until(() -> heard.stream().anyMatch(line -> line.contains("presence")));
            return heard;
        }
    }

    @BeforeAll
    static void begin() throws IOException {
        Secret secret = Secret.of(Secret.fresh());
        Address first = new Address("127.0.0.1", freePort());
        one = Server.start("one", first, List.of(), secret);
        other = Server.start("other", new Address("127.0.0.1", freePort()), List.of(first), secret);
    }

    @AfterAll
    static void end() {
        other.context().close();
        one.context().close();
    }

    /** Of two that are free. */
    private static int freePort() throws IOException {
        while (true) {
            try (ServerSocket socket = new ServerSocket(0);
                    ServerSocket next = new ServerSocket(socket.getLocalPort() + 1)) {
                return next.getLocalPort() - 1;
            } catch (IOException | IllegalArgumentException taken) {
                // Then others.
            }
        }
    }

    private static String bringIn() throws IOException {
        return one.send("POST", "/api/projects", Files.readString(Path.of("..", "examples", "garden-room.tychon.json")))
                .get("id")
                .asText();
    }

    private static void heard(Queue<String> window, String... words) {
        await().atMost(PATIENCE).untilAsserted(() -> assertThat(window)
                .anySatisfy(line -> assertThat(line).contains(words)));
    }

    @Test
    void whatIsDoneAtOneIsSeenAtTheOther() throws IOException {
        String project = bringIn();
        Queue<String> there = other.listen(project, "w-other");
        Queue<String> here = one.listen(project, "w-one");
        heard(there, "w-other", "w-one");
        heard(here, "w-other", "w-one");
        other.send(
                "POST",
                "/api/projects/" + project + "/presence",
                "{\"window\":\"w-other\",\"stage\":\"plan\",\"row\":\"B20\"}");
        heard(here, "w-other", "B20");
        String row = one.read("/api/projects/" + project + "/plan")
                .at("/activities/3/id")
                .asText();
        one.send("PATCH", "/api/projects/" + project + "/rows", "[{\"id\":\"" + row + "\",\"name\":\"Seen at both\"}]");
        heard(there, "\"revision\"", "\"simulated\"");
        heard(there, "\"touched\"", row);
        assertThat(other.read("/api/projects/" + project + "/plan")
                        .at("/activities/3/name")
                        .asText())
                .isEqualTo("Seen at both");
        // And the other way, on what the first has in memory.
        other.send("PATCH", "/api/projects/" + project + "/rows", "[{\"id\":\"" + row + "\",\"name\":\"And back\"}]");
        assertThat(one.read("/api/projects/" + project + "/plan")
                        .at("/activities/3/name")
                        .asText())
                .isEqualTo("And back");
    }

    private static JsonNode odds(Server server, String project) {
        return await().atMost(PATIENCE)
                .until(
                        () -> server.read("/api/projects/" + project + "/odds"),
                        view -> view.get("state").asText().equals("refined"));
    }

    /** One server simulates for the windows of both; more of what it simulated can be read at the other. */
    @Test
    void oddsAreWorkedOutWhereThePlanWasEditedAndToldToTheOther() throws IOException {
        String project = bringIn();
        odds(one, project);
        odds(other, project);
        Queue<String> there = other.listen(project, "w-odds");
        String row = one.read("/api/projects/" + project + "/plan")
                .at("/activities/3/id")
                .asText();
        one.send("PATCH", "/api/projects/" + project + "/rows", "[{\"id\":\"" + row + "\",\"duration\":\"77d\"}]");
        heard(there, "\"revision\":2", "\"state\":\"refined\"");
        String key = odds(other, project).get("run").asText();
        assertThat(key).isEqualTo(odds(one, project).get("run").asText());
        String dates = "/api/runs/" + key + "/dates?levels=80";
        assertThat(other.read(dates)).isEqualTo(one.read(dates));
    }

    /** Until it has simulated something, so that there is something to keep of it. */
    private static void awaitFutures(Server server, String run) {
        await().atMost(PATIENCE)
                .until(() ->
                        server.read("/api/runs/" + run).at("/progress/done").asInt() > 0);
    }

    private static void awaitState(String run, String state) {
        await().atMost(PATIENCE)
                .until(() ->
                        other.read("/api/runs/" + run).get("state").asText().equals(state));
    }

    /** The last: afterwards one is gone for the other. */
    @Test
    @Order(Integer.MAX_VALUE)
    void aRunIsHeldFromTheOtherServerAndGoesOnThereWhenItsOwnIsGone() throws IOException {
        String project = bringIn();
        String run = one.send("POST", "/api/projects/" + project + "/runs", "{\"iterations\":1000000,\"seed\":5}")
                .get("id")
                .asText();
        awaitFutures(one, run);
        other.send("POST", "/api/runs/" + run + "/pause", "");
        await().atMost(PATIENCE)
                .until(() -> one.read("/api/runs/" + run).at("/progress/paused").asBoolean());
        // One that was stopped at the first can be taken up at the other, and the other way round.
        one.send("POST", "/api/runs/" + run + "/stop", "");
        awaitState(run, "stopped");
        other.send("POST", "/api/runs/" + run + "/resume", "");
        awaitFutures(other, run);
        other.send("POST", "/api/runs/" + run + "/stop", "");
        awaitState(run, "stopped");
        one.send("POST", "/api/runs/" + run + "/resume", "");
        awaitFutures(one, run);
        other.send("POST", "/api/runs/" + run + "/pause", "");
        await().atMost(PATIENCE)
                .until(() -> one.read("/api/runs/" + run).at("/progress/paused").asBoolean());
        other.send("POST", "/api/runs/" + run + "/resume", "");
        await().atMost(PATIENCE)
                .until(() ->
                        !one.read("/api/runs/" + run).at("/progress/paused").asBoolean());
        other.send("POST", "/api/runs/" + run + "/pause", "");
        await().atMost(PATIENCE)
                .until(() -> one.read("/api/runs/" + run).at("/progress/paused").asBoolean());
        assertThat(other.read("/api/runs/" + run).get("state").asText()).isEqualTo("running");
        // The first is cut off: for the other it is gone, with its run that stands still.
        one.crew().close();
        awaitFutures(other, run);
        other.send("POST", "/api/runs/" + run + "/stop", "");
        await().atMost(PATIENCE)
                .until(() ->
                        other.read("/api/runs/" + run).get("state").asText().equals("stopped"));
        assertThat(other.read("/api/runs/" + run + "/dates?levels=80")
                        .at("/levels/0/value")
                        .asText())
                .startsWith("20");
        one.send("POST", "/api/runs/" + run + "/stop", "");
    }
}
