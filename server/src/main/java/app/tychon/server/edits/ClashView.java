package app.tychon.server.edits;

import app.tychon.exchange.changes.Clash;
import com.fasterxml.jackson.databind.JsonNode;
import jakarta.annotation.Nullable;
import java.time.Instant;

/**
 * A field that somebody else has changed since it was seen that is now edited.
 *
 * @param section as the project file calls it
 * @param key the object's own
 * @param field empty where the whole object is taken away
 * @param was as it was seen, in the words of the project file; absent where there was nothing
 * @param theirs as somebody else has made it
 * @param mine as the edit would make it
 * @param by who it was, where that is known
 */
record ClashView(
        String section,
        String key,
        String field,
        @Nullable JsonNode was,
        @Nullable JsonNode theirs,
        @Nullable JsonNode mine,
        @Nullable String by,
        Instant at) {
    static ClashView of(Clash clash, String by, Instant at) {
        return new ClashView(
                clash.section(), clash.key(), clash.field(), clash.was(), clash.theirs(), clash.mine(), by, at);
    }
}
