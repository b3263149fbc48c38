package app.tychon.server.people;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;

/** How passwords are kept: by Argon2id, with as much work for whoever guesses as is asked for today. */
@Configuration
class PasswordDigests {
    private static final int SALT_BYTES = 16;
    private static final int HASH_BYTES = 32;
    private static final int MEMORY_KIB = 19_456;
    private static final int PASSES = 2;

    @Bean
    PasswordEncoder passwordEncoder() {
        return new Argon2PasswordEncoder(SALT_BYTES, HASH_BYTES, 1, MEMORY_KIB, PASSES);
    }
}
