package app.tychon.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A server on which people have accounts, all with one password; the first looks after them and owns everything. */
final class PeopledServer implements AutoCloseable {
    static final String PASSWORD = "seven quiet lanterns 52";
    private static final HttpClient HTTP = HttpClient.newHttpClient();
    private static final Pattern PATH = Pattern.compile("\"path\"\\s*:\\s*\"([^\"]+)\"");

    private final LiveServer server;

    private PeopledServer(LiveServer server) {
        this.server = server;
    }

    /** @param project a project file that is there before anybody has an account */
    static PeopledServer start(Path folder, Path project) {
        PeopledServer server = new PeopledServer(LiveServer.start(folder));
        server.send("POST", "/api/projects", HttpRequest.BodyPublishers.ofString(Journey.text(project)));
        return server;
    }

    String address() {
        return server.address();
    }

    /** Adds somebody who has set their password. */
    void add(String email, String name) {
        String answer = send(
                "POST",
                "/api/people",
                HttpRequest.BodyPublishers.ofString(
                        "{\"email\":\"" + email + "\",\"name\":\"" + name + "\",\"administrator\":false}"));
        Matcher link = PATH.matcher(answer);
        if (!link.find()) {
            throw new IllegalStateException(answer);
        }
        send(
                "POST",
                "/api" + link.group(1),
                HttpRequest.BodyPublishers.ofString("{\"password\":\"" + PASSWORD + "\"}"));
    }

    void give(String email, String role, String project) {
        send(
                "PUT",
                "/api/people/roles",
                HttpRequest.BodyPublishers.ofString(
                        "{\"email\":\"" + email + "\",\"role\":\"" + role + "\",\"project\":\"" + project + "\"}"));
    }

    private String send(String method, String path, HttpRequest.BodyPublisher body) {
        try {
            HttpResponse<String> answer = HTTP.send(
                    HttpRequest.newBuilder(URI.create(server.address() + path))
                            .header("Content-Type", "application/json")
                            .header("Authorization", "Bearer " + LiveServer.MACHINE_KEY)
                            .method(method, body)
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
            if (answer.statusCode() >= 400) {
                throw new IllegalStateException(answer.body());
            }
            return answer.body();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** Signs somebody in through the page that is there for it, and opens a stage of the project. */
    void signIn(Browser browser, String email, String stage) {
        browser.forgetCookies(server.address() + "/health");
        browser.open(server.address() + "/projects");
        browser.enterLabelled("E-mail address", email);
        browser.enterLabelled("Password", PASSWORD);
        browser.goTo("Kestrel Ridge Observatory");
        browser.goTo(stage);
    }

    @Override
    public void close() {
        server.close();
    }
}
