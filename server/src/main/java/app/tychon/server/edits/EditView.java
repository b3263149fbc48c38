package app.tychon.server.edits;

import jakarta.annotation.Nullable;
import java.time.Instant;

/**
 * An edit as the history lists it.
 *
 * @param own whether the reader made it
 * @param person who made it: their account, or the key of their browser
 * @param name what they are called, where they have an account
 */
record EditView(long revision, Instant at, boolean own, String person, @Nullable String name, String label) {
    EditView by(String called) {
        return new EditView(revision, at, own, person, called, label);
    }
}
