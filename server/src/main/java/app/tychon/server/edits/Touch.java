package app.tychon.server.edits;

import jakarta.annotation.Nullable;
import java.time.Instant;

/**
 * When an object was edited last.
 *
 * @param own whether the reader did that
 * @param person who did: their account, or the key of their browser
 * @param name what they are called, where they have an account
 */
public record Touch(Instant at, boolean own, String person, @Nullable String name) {
    Touch by(String called) {
        return new Touch(at, own, person, called);
    }
}
