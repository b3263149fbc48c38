package app.tychon.server.launch;

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
 * @param port the port to serve on (TYCHON_PORT); otherwise 8080 or the next free one
 * @param hosts names the server is called by beside those of this machine, with commas between (TYCHON_HOSTS)
 * @param examples folder of example plans (TYCHON_EXAMPLES)
 * @param listen address to listen on (TYCHON_LISTEN); otherwise this machine alone
 * @param url what people open, where that is not this machine: of what stands in front of it (TYCHON_URL)
 * @param singleSignOn properties of the provider of single sign-on (TYCHON_OIDC_ISSUER with _CLIENT, _SECRET, _NAME); empty where
 *     there is none
 * @param secret with which secrets in the database are enciphered (TYCHON_SECRET); otherwise one of the data folder
 */
record Settings(
        Path data,
        Optional<String> databaseUrl,
        String databaseUser,
        String databasePassword,
        OptionalInt port,
        String hosts,
        Path examples,
        String listen,
        Optional<URI> url,
        Optional<String> secret,
        Map<String, Object> singleSignOn) {

    static Settings of(Map<String, String> environment) {
        return new Settings(
                Path.of(environment.getOrDefault("TYCHON_DATA", ".tychon")).toAbsolutePath(),
                given(environment, "TYCHON_DB_URL"),
                environment.getOrDefault("TYCHON_DB_USER", "tychon"),
                environment.getOrDefault("TYCHON_DB_PASSWORD", ""),
                port(environment.get("TYCHON_PORT")),
                environment.getOrDefault("TYCHON_HOSTS", ""),
                Path.of(environment.getOrDefault("TYCHON_EXAMPLES", "examples")).toAbsolutePath(),
                environment.getOrDefault("TYCHON_LISTEN", "127.0.0.1"),
                given(environment, "TYCHON_URL").map(Settings::url),
                given(environment, "TYCHON_SECRET"),
                singleSignOn(environment));
    }

    private static Optional<String> given(Map<String, String> environment, String name) {
        return Optional.ofNullable(environment.get(name)).filter(text -> !text.isBlank());
    }

    private static Map<String, Object> singleSignOn(Map<String, String> environment) {
        Optional<String> issuer = given(environment, "TYCHON_OIDC_ISSUER");
        if (issuer.isEmpty()) {
            return Map.of();
        }
        return Map.of(
                "tychon.oidc.issuer", issuer.get(),
                "tychon.oidc.client", needed(environment, "TYCHON_OIDC_CLIENT"),
                "tychon.oidc.secret", needed(environment, "TYCHON_OIDC_SECRET"),
                "tychon.oidc.name", given(environment, "TYCHON_OIDC_NAME").orElse("single sign-on"));
    }

    private static String needed(Map<String, String> environment, String name) {
        return given(environment, name)
                .orElseThrow(() -> new CannotStart("TYCHON_OIDC_ISSUER is set, so " + name + " is needed too."));
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

    /** The same for this machine alone, on any free port. */
    Settings quietly() {
        return new Settings(
                data,
                databaseUrl,
                databaseUser,
                databasePassword,
                OptionalInt.empty(),
                hosts,
                examples,
                "127.0.0.1",
                url,
                secret,
                singleSignOn);
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
