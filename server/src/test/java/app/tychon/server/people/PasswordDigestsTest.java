package app.tychon.server.people;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.springframework.security.crypto.password.PasswordEncoder;

class PasswordDigestsTest {
    /** Argon2id with 19 MiB and two passes, as OWASP's list of password storage asks for. */
    @Test
    void passwordsAreKeptWithAsMuchWorkForWhoeverGuessesAsIsAskedFor() {
        PasswordEncoder encoder = new PasswordDigests().passwordEncoder();
        String digest = encoder.encode("seven quiet lanterns 52");
        assertThat(digest).startsWith("$argon2id$v=19$m=19456,t=2,p=1$");
        assertThat(encoder.matches("seven quiet lanterns 52", digest)).isTrue();
        assertThat(encoder.matches("seven quiet lanterns 53", digest)).isFalse();
        assertThat(encoder.encode("seven quiet lanterns 52")).as("salted").isNotEqualTo(digest);
    }
}
