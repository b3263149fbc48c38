package app.tychon.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.concurrent.BlockingDeque;
import java.util.concurrent.LinkedBlockingDeque;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.support.ui.FluentWait;

/**
 * Journeys through the real server in the real browser: one server and a few browsers for all, each journey
 * in projects of its own and with nothing that the browser has kept of others.
 */
@ExtendWith(Lanes.class)
abstract class Journey {
    static final Path DEMO = Path.of("..", "examples", "kestrel-ridge.tychon.json")
            .toAbsolutePath()
            .normalize();
    static final String REFUSAL = "[role='treegrid'] [role='alert']";

    private static final HttpClient HTTP = HttpClient.newHttpClient();
    private static LiveServer server;
    /** Where the demo is that journeys share. */
    private static String demo;
    /** Browsers that no journey is in just now. */
    private static final BlockingDeque<Browser> FREE = new LinkedBlockingDeque<>();

    @TempDir
    Path folder;

    Browser browser;

    @BeforeAll
    static synchronized void startServer() throws IOException {
        if (server == null) {
            server =
                    LiveServer.start(Files.createTempDirectory(Path.of("target").toAbsolutePath(), "journeys"));
            Runtime.getRuntime().addShutdownHook(new Thread(() -> {
                FREE.forEach(Browser::close);
                server.close();
            }));
        }
    }

    @BeforeEach
    void beginAfresh() throws IOException {
        Browser free = FREE.poll();
        browser = free == null
                ? new Browser(Files.createTempDirectory(Path.of("target").toAbsolutePath(), "downloads"))
                : free;
        browser.forget(server.address() + "/health");
        if (free == null) {
            browser.open(server.entrance());
        }
    }

    @AfterEach
    void leaveTheBrowser() {
        FREE.push(browser);
    }

    /** A second browser, in which somebody else is let in. */
    static Browser another() {
        Browser other = new Browser();
        other.open(server.entrance());
        return other;
    }

    static String address() {
        return server.address();
    }

    static String text(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Opens the list of projects. */
    void openProjects() {
        browser.open(server.address());
    }

    /** Gives a file to the list of projects. */
    void choose(Path file) {
        openProjects();
        browser.choose("[aria-label='Project file or schedule']", file.toString());
    }

    /** Opens the plan of a project file that the server has been given; how a person gives it is a journey of its own. */
    void bringIn(Path file) {
        browser.open(address() + "/projects/" + given(file) + "/plan");
        browser.see("[role='treegrid'][aria-label='Plan']");
    }

    private static String given(Path file) {
        try {
            HttpRequest request = HttpRequest.newBuilder(URI.create(address() + "/api/projects"))
                    .header("Content-Type", "application/json")
                    .header("Authorization", "Bearer " + LiveServer.MACHINE_KEY)
                    .POST(HttpRequest.BodyPublishers.ofFile(file))
                    .build();
            String answer =
                    HTTP.send(request, HttpResponse.BodyHandlers.ofString()).body();
            return answer.replaceAll("(?s).*?\"id\"\\s*:\\s*\"([^\"]+)\".*", "$1");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** Opens the demo as it is; for journeys that look and change nothing, which share it and what is known of it. */
    void openDemo() {
        synchronized (Journey.class) {
            if (demo == null) {
                bringIn(DEMO);
                demo = browser.address();
                return;
            }
        }
        browser.open(demo);
        browser.see("[role='treegrid'][aria-label='Plan']");
    }

    /** The open project's part of the address, such as /0191…. */
    String project() {
        return browser.address().replaceAll(".*/projects(/[^/]+)/.*", "$1");
    }

    /** A file that the page hands over, once all of it is there. */
    byte[] handedOver(String name) {
        Path file = browser.downloads().resolve(name);
        return new FluentWait<>(file)
                .withTimeout(Duration.ofSeconds(20))
                .pollingEvery(Duration.ofMillis(50))
                .until(path -> {
                    try {
                        return Files.exists(path) && Files.size(path) > 0 ? Files.readAllBytes(path) : null;
                    } catch (IOException e) {
                        return null;
                    }
                });
    }
}
