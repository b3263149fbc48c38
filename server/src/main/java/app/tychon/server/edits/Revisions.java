package app.tychon.server.edits;

import app.tychon.server.problems.ConflictException;
import jakarta.annotation.Nullable;
import java.util.Optional;

/** The revision of a plan as ETag and If-Match carry it. */
final class Revisions {
    private Revisions() {}

    static Optional<Long> parse(@Nullable String ifMatch) {
        if (ifMatch == null) {
            return Optional.empty();
        }
        String tag = ifMatch.replace("\"", "");
        if (!tag.matches("\\d{1,18}")) {
            throw new ConflictException("If-Match must carry the revision of the plan, not " + ifMatch + ".");
        }
        return Optional.of(Long.parseLong(tag));
    }
}
