package app.tychon.server.launch;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * Other services that the server works with, as the environment names them: a provider of single sign-on (TYCHON_OIDC_ISSUER with
 * _CLIENT, _SECRET, _NAME) and a server for mail (TYCHON_SMTP_HOST with _PORT, _USER, _PASSWORD, _FROM, _TLS).
 */
final class Services {
    private static final String PATIENCE = "10000";

    private Services() {}

    /** The properties that Spring and ours know them by; none where none is named. */
    static Map<String, Object> of(Map<String, String> environment) {
        Map<String, Object> properties = new HashMap<>(singleSignOn(environment));
        properties.putAll(mail(environment));
        return properties;
    }

    private static Map<String, Object> singleSignOn(Map<String, String> environment) {
        Optional<String> issuer = Settings.given(environment, "TYCHON_OIDC_ISSUER");
        if (issuer.isEmpty()) {
            return Map.of();
        }
        return Map.of(
                "tychon.oidc.issuer", issuer.get(),
                "tychon.oidc.client", needed(environment, "TYCHON_OIDC_ISSUER", "TYCHON_OIDC_CLIENT"),
                "tychon.oidc.secret", needed(environment, "TYCHON_OIDC_ISSUER", "TYCHON_OIDC_SECRET"),
                "tychon.oidc.name",
                        Settings.given(environment, "TYCHON_OIDC_NAME").orElse("single sign-on"));
    }

    private static Map<String, Object> mail(Map<String, String> environment) {
        Optional<String> host = Settings.given(environment, "TYCHON_SMTP_HOST");
        if (host.isEmpty()) {
            return Map.of();
        }
        String tls = Settings.given(environment, "TYCHON_SMTP_TLS").orElse("starttls");
        Map<String, Object> properties = new HashMap<>(Map.of(
                "spring.mail.host",
                host.get(),
                "spring.mail.port",
                Settings.given(environment, "TYCHON_SMTP_PORT").orElse(tls.equals("tls") ? "465" : "587"),
                "spring.mail.default-encoding",
                "UTF-8",
                "spring.mail.properties.mail.smtp.connectiontimeout",
                PATIENCE,
                "spring.mail.properties.mail.smtp.timeout",
                PATIENCE,
                "spring.mail.properties.mail.smtp.writetimeout",
                PATIENCE,
                "tychon.mail-from",
                needed(environment, "TYCHON_SMTP_HOST", "TYCHON_SMTP_FROM")));
        properties.putAll(secured(tls, host.get()));
        Settings.given(environment, "TYCHON_SMTP_USER").ifPresent(user -> {
            properties.put("spring.mail.username", user);
            properties.put("spring.mail.password", needed(environment, "TYCHON_SMTP_USER", "TYCHON_SMTP_PASSWORD"));
            properties.put("spring.mail.properties.mail.smtp.auth", "true");
        });
        return properties;
    }

    /** Letters hold links that open accounts, so they leave this machine enciphered or not at all. */
    private static Map<String, Object> secured(String tls, String host) {
        return switch (tls) {
            case "starttls" ->
                Map.of(
                        "spring.mail.properties.mail.smtp.starttls.enable", "true",
                        "spring.mail.properties.mail.smtp.starttls.required", "true",
                        "spring.mail.properties.mail.smtp.ssl.checkserveridentity", "true");
            case "tls" ->
                Map.of(
                        "spring.mail.properties.mail.smtp.ssl.enable", "true",
                        "spring.mail.properties.mail.smtp.ssl.checkserveridentity", "true");
            case "none" -> {
                if (!onThisMachine(host)) {
                    throw new CannotStart(
                            "TYCHON_SMTP_TLS may be none only for a server for mail on this machine, not for " + host
                                    + ".");
                }
                yield Map.of();
            }
            default -> throw new CannotStart("TYCHON_SMTP_TLS must be starttls, tls or none, not \"" + tls + "\".");
        };
    }

    private static boolean onThisMachine(String host) {
        try {
            return InetAddress.getByName(host).isLoopbackAddress();
        } catch (UnknownHostException e) {
            return false;
        }
    }

    private static String needed(Map<String, String> environment, String because, String name) {
        return Settings.given(environment, name)
                .orElseThrow(() -> new CannotStart(because + " is set, so " + name + " is needed too."));
    }
}
