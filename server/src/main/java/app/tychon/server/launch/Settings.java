package app.tychon.server.launch;

import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What the environment says.
 *
 * @param data where the application keeps its own database (TYCHON_DATA)
 * @param databaseUrl an outside database to use instead (TYCHON_DB_URL, with TYCHON_DB_USER and TYCHON_DB_PASSWORD)
 * @param port the port to serve on (TYCHON_PORT); otherwise 8080 or the next free one
 * @param hosts names the server is called by beside those of this machine, with commas between (TYCHON_HOSTS)
 * @param examples folder of example plans (TYCHON_EXAMPLES)
 */
record Settings(
        Path data,
        Optional<String> databaseUrl,
        String databaseUser,
        String databasePassword,
        OptionalInt port,
        String hosts,
        Path examples) {

    static Settings of(Map<String, String> environment) {
        return new Settings(
                Path.of(environment.getOrDefault("TYCHON_DATA", ".tychon")).toAbsolutePath(),
                Optional.ofNullable(environment.get("TYCHON_DB_URL")).filter(url -> !url.isBlank()),
                environment.getOrDefault("TYCHON_DB_USER", "tychon"),
                environment.getOrDefault("TYCHON_DB_PASSWORD", ""),
                port(environment.get("TYCHON_PORT")),
                environment.getOrDefault("TYCHON_HOSTS", ""),
                Path.of(environment.getOrDefault("TYCHON_EXAMPLES", "examples")).toAbsolutePath());
    }

    private static OptionalInt port(String text) {
        if (text == null || text.isBlank()) {
            return OptionalInt.empty();
        }
        if (!text.matches("\\d{1,5}") || Integer.parseInt(text) < 1 || Integer.parseInt(text) > 65535) {
            throw new CannotStart("TYCHON_PORT must be a port number from 1 to 65535, not \"" + text + "\".");
        }
        return OptionalInt.of(Integer.parseInt(text));
    }
}
