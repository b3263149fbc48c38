package app.tychon.server.launch;

import app.tychon.server.database.DatabaseAddress;
import java.net.InetAddress;
import java.net.URI;
import java.net.UnknownHostException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What the environment says.
 *
 * @param data where the application keeps its own database (TYCHON_DATA)
 * @param databaseUrl an outside database to use instead (TYCHON_DB_URL, with TYCHON_DB_USER and TYCHON_DB_PASSWORD)
 * @param databaseOwner who changes its tables, where the user who works with it may not (TYCHON_DB_OWNER, with
 *     TYCHON_DB_OWNER_PASSWORD)
 * @param port the port to serve on (TYCHON_PORT); otherwise 8080 or the next free one
 * @param hosts names the server is called by beside those of this machine, with commas between (TYCHON_HOSTS)
 * @param examples folder of example plans (TYCHON_EXAMPLES)
 * @param listen address to listen on (TYCHON_LISTEN); otherwise this machine alone
 * @param url what people open, where that is not this machine: of what stands in front of it (TYCHON_URL)
 * @param secret with which secrets in the database are enciphered (TYCHON_SECRET); otherwise one of the data folder
 * @param codes whether those who look after people must use one-time codes where people come over TLS (TYCHON_CODES says optional
 *     where they need not)
 * @param projectStorage what one project may keep of runs and briefs, such as 50GB (TYCHON_PROJECT_STORAGE)
 * @param services properties of other services that it works with, as {@link Services} reads them
 * @param machines that may join, where any may
 */
record Settings(
        Path data,
        Optional<String> databaseUrl,
        String databaseUser,
        String databasePassword,
        Optional<DatabaseAddress> databaseOwner,
        OptionalInt port,
        String hosts,
        Path examples,
        String listen,
        Optional<URI> url,
        Optional<String> secret,
        boolean codes,
        Optional<String> projectStorage,
        Map<String, Object> services,
        Optional<MachineSettings> machines) {

    static Settings of(Map<String, String> environment) {
        return new Settings(
                Path.of(environment.getOrDefault("TYCHON_DATA", ".tychon")).toAbsolutePath(),
                given(environment, "TYCHON_DB_URL"),
                environment.getOrDefault("TYCHON_DB_USER", "tychon"),
                environment.getOrDefault("TYCHON_DB_PASSWORD", ""),
                given(environment, "TYCHON_DB_OWNER")
                        .map(owner -> new DatabaseAddress(
                                environment.getOrDefault("TYCHON_DB_URL", ""),
                                owner,
                                environment.getOrDefault("TYCHON_DB_OWNER_PASSWORD", ""))),
                port(environment.get("TYCHON_PORT")),
                environment.getOrDefault("TYCHON_HOSTS", ""),
                Path.of(environment.getOrDefault("TYCHON_EXAMPLES", "examples")).toAbsolutePath(),
                environment.getOrDefault("TYCHON_LISTEN", "127.0.0.1"),
                given(environment, "TYCHON_URL").map(Settings::url),
                given(environment, "TYCHON_SECRET"),
                !"optional".equals(environment.get("TYCHON_CODES")),
                given(environment, "TYCHON_PROJECT_STORAGE").map(Settings::size),
                Services.of(environment),
                MachineSettings.of(
                        environment,
                        Path.of(environment.getOrDefault("TYCHON_DATA", ".tychon"))
                                .toAbsolutePath()));
    }

    static Optional<String> given(Map<String, String> environment, String name) {
        return Optional.ofNullable(environment.get(name)).filter(text -> !text.isBlank());
    }

    private static String size(String text) {
        if (!text.strip().matches("\\d{1,6}(MB|GB|TB)")) {
            throw new CannotStart("TYCHON_PROJECT_STORAGE must be a size such as 50GB, not \"" + text + "\".");
        }
        return text.strip();
    }

    private static URI url(String text) {
        try {
            URI url = URI.create(text.strip().replaceFirst("/$", ""));
            if (url.getHost() != null && List.of("http", "https").contains(url.getScheme())) {
                return url;
            }
        } catch (IllegalArgumentException e) {
            // Said below.
        }
        throw new CannotStart(
                "TYCHON_URL must be the address that people open, such as https://risk.example.org, not \"" + text
                        + "\".");
    }

    /** The same for this machine alone, on any free port; no other joins. */
    Settings quietly() {
        return new Settings(
                data,
                databaseUrl,
                databaseUser,
                databasePassword,
                databaseOwner,
                OptionalInt.empty(),
                hosts,
                examples,
                "127.0.0.1",
                url,
                secret,
                codes,
                projectStorage,
                services,
                Optional.empty());
    }

    /** Whether others than this machine's programs reach it by itself. */
    boolean beyondThisMachine() {
        try {
            return !InetAddress.getByName(listen).isLoopbackAddress();
        } catch (UnknownHostException e) {
            throw new CannotStart(
                    "TYCHON_LISTEN must be an address of this machine, such as 127.0.0.1 or 0.0.0.0, not \"" + listen
                            + "\".");
        }
    }

    /** Whether people come over TLS, by what stands in front of it. */
    boolean overTls() {
        return url.filter(address -> address.getScheme().equals("https")).isPresent();
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
