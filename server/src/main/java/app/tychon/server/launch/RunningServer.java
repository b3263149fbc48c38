package app.tychon.server.launch;

import app.tychon.server.database.PrivateFile;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.HttpURLConnection;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Optional;

/** How commands of this machine reach the server: by a file in the data folder, and the key beside it. */
record RunningServer(URI address, String key) {
    private static final HttpClient HTTP = HttpClient.newHttpClient();
    private static final Duration PATIENCE = Duration.ofSeconds(30);

    static Path key(Settings settings) {
        return settings.data().resolve("machine-key");
    }

    private static Path file(Settings settings) {
        return settings.data().resolve("address");
    }

    static void tell(Settings settings, String address) {
        try {
            PrivateFile.write(file(settings), address);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static void forget(Settings settings) {
        try {
            Files.deleteIfExists(file(settings));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The server that runs on the data folder; nothing where none answers. */
    static Optional<RunningServer> find(Settings settings) {
        try {
            if (!Files.exists(file(settings))) {
                return Optional.empty();
            }
            RunningServer server = new RunningServer(
                    URI.create(Files.readString(file(settings)).strip()),
                    Files.readString(key(settings)).strip());
            server.send("GET", "/health", "");
            return Optional.of(server);
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    /** Writes what the server answers into a file; one that is there is written over. */
    void download(String path, Path file) throws IOException {
        HttpRequest request = HttpRequest.newBuilder(address.resolve(path))
                .header("Authorization", "Bearer " + key)
                .build();
        try {
            int status =
                    HTTP.send(request, HttpResponse.BodyHandlers.ofFile(file)).statusCode();
            if (status != HttpURLConnection.HTTP_OK) {
                throw new IOException("the server answered " + status);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        }
    }

    HttpResponse<String> send(String method, String path, String json) throws IOException {
        HttpRequest request = HttpRequest.newBuilder(address.resolve(path))
                .timeout(PATIENCE)
                .header("Authorization", "Bearer " + key)
                .header("Content-Type", "application/json")
                .method(method, HttpRequest.BodyPublishers.ofString(json))
                .build();
        try {
            return HTTP.send(request, HttpResponse.BodyHandlers.ofString());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        }
    }
}
