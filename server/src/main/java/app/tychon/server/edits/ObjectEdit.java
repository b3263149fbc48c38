package app.tychon.server.edits;

import jakarta.annotation.Nullable;
import java.time.Instant;

/**
 * What an edit did to one object of a plan.
 *
 * @param own    whether the reader made it
 * @param person who made it: their account, or the key of their browser
 * @param name   what they are called, where they have an account
 * @param before in the words of the project file; absent where the edit made it
 * @param after  absent where the edit removed it
 */
public record ObjectEdit(
        long revision,
        Instant at,
        boolean own,
        String person,
        @Nullable String name,
        @Nullable String before,
        @Nullable String after) {
    ObjectEdit by(String called) {
        return new ObjectEdit(revision, at, own, person, called, before, after);
    }
}
