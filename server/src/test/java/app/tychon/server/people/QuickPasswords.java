package app.tychon.server.people;

import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;

/** Passwords kept in the same way, but with little work: tests sign in all the time. */
@TestConfiguration
class QuickPasswords {
    @Bean
    @Primary
    PasswordEncoder quickPasswordEncoder() {
        return new Argon2PasswordEncoder(16, 32, 1, 256, 1);
    }
}
