package app.tychon.server.launch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

class LaunchTest {
    @Test
    void withoutSettingsThereIsAnOwnDatabaseAndAnyPort() {
        Settings settings = Settings.of(Map.of());
        assertThat(settings.databaseUrl()).isEmpty();
        assertThat(settings.port()).isEmpty();
        assertThat(settings.data()).isAbsolute().endsWithRaw(Path.of(".tychon"));
    }

    @Test
    void settingsComeFromTheEnvironment() {
        Settings settings = Settings.of(Map.of(
                "TYCHON_DATA", "/srv/tychon",
                "TYCHON_PORT", "9000",
                "TYCHON_DB_URL", "jdbc:mariadb://db/tychon",
                "TYCHON_DB_USER", "risk",
                "TYCHON_DB_PASSWORD", "secret"));
        assertThat(settings.data()).isEqualTo(Path.of("/srv/tychon"));
        assertThat(settings.port()).hasValue(9000);
        assertThat(settings.databaseUrl()).contains("jdbc:mariadb://db/tychon");
        assertThat(settings.databaseUser()).isEqualTo("risk");
    }

    @Test
    void beyondThisMachineTlsMustStandInFront() {
        Settings alone = Settings.of(Map.of());
        assertThat(alone.beyondThisMachine()).isFalse();
        Settings open = Settings.of(Map.of("TYCHON_LISTEN", "0.0.0.0", "TYCHON_URL", "http://risk.example.org"));
        assertThat(open.beyondThisMachine()).isTrue();
        assertThat(open.overTls()).isFalse();
        assertThat(Settings.of(Map.of("TYCHON_URL", "https://risk.example.org/"))
                        .overTls())
                .isTrue();
        assertThatThrownBy(() -> Launch.serve(open, List.of()))
                .isInstanceOf(CannotStart.class)
                .hasMessageContaining("in the open");
    }

    @Test
    void anAddressThatIsNoneIsRefusedInASentence() {
        assertThatThrownBy(() -> Settings.of(Map.of("TYCHON_URL", "risk.example.org")))
                .isInstanceOf(CannotStart.class)
                .hasMessageContaining("TYCHON_URL must be the address that people open");
        assertThatThrownBy(() ->
                        Settings.of(Map.of("TYCHON_LISTEN", "no such name.")).beyondThisMachine())
                .isInstanceOf(CannotStart.class)
                .hasMessageContaining("TYCHON_LISTEN must be an address");
    }

    @Test
    void lettersLeaveTheMachineEncipheredOrNotAtAll() {
        Map<String, Object> usual = Settings.of(
                        Map.of("TYCHON_SMTP_HOST", "mail.example.org", "TYCHON_SMTP_FROM", "risk@example.org"))
                .services();
        assertThat(usual)
                .containsEntry("spring.mail.port", "587")
                .containsEntry("spring.mail.properties.mail.smtp.starttls.required", "true");
        assertThatThrownBy(() -> Settings.of(Map.of("TYCHON_SMTP_HOST", "mail.example.org")))
                .isInstanceOf(CannotStart.class)
                .hasMessageContaining("TYCHON_SMTP_FROM is needed too");
        assertThatThrownBy(() -> Settings.of(Map.of(
                        "TYCHON_SMTP_HOST",
                        "192.0.2.7",
                        "TYCHON_SMTP_FROM",
                        "r@example.org",
                        "TYCHON_SMTP_TLS",
                        "none")))
                .isInstanceOf(CannotStart.class)
                .hasMessageContaining("only for a server for mail on this machine");
        assertThatThrownBy(() -> Settings.of(Map.of(
                        "TYCHON_SMTP_HOST",
                        "127.0.0.1",
                        "TYCHON_SMTP_FROM",
                        "r@example.org",
                        "TYCHON_SMTP_TLS",
                        "yes")))
                .isInstanceOf(CannotStart.class)
                .hasMessageContaining("must be starttls, tls or none, not \"yes\"");
    }

    @Test
    void whoeverWorksWithAnOutsideDatabaseNeedNotBeWhoChangesItsTables() {
        Settings settings = Settings.of(Map.of(
                "TYCHON_DB_URL", "jdbc:mariadb://db/tychon",
                "TYCHON_DB_USER", "work",
                "TYCHON_DB_OWNER", "owner",
                "TYCHON_DB_OWNER_PASSWORD", "other"));
        assertThat(settings.databaseUser()).isEqualTo("work");
        assertThat(settings.databaseOwner()).hasValueSatisfying(owner -> {
            assertThat(owner.user()).isEqualTo("owner");
            assertThat(owner.password()).isEqualTo("other");
        });
    }

    @Test
    void aPortThatIsNoneIsRefusedInASentence() {
        for (String port : new String[] {"web", "0", "70000", "-1"}) {
            assertThatThrownBy(() -> Settings.of(Map.of("TYCHON_PORT", port)))
                    .isInstanceOf(CannotStart.class)
                    .hasMessageContaining("TYCHON_PORT must be a port number")
                    .hasMessageContaining(port);
        }
    }

    @Test
    void aPortInUseIsRefusedWhenAskedForAndPassedOverWhenNot() throws IOException {
        try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            OptionalInt asked = OptionalInt.of(taken.getLocalPort());
            assertThatThrownBy(() -> Ports.forHttp(asked))
                    .isInstanceOf(CannotStart.class)
                    .hasMessageContaining("Port " + taken.getLocalPort() + " is in use");
            assertThat(Ports.forHttp(OptionalInt.empty())).isNotEqualTo(taken.getLocalPort());
        }
    }
}
