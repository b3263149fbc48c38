package app.tychon.server.edits;

import app.tychon.server.rights.Who;
import app.tychon.server.web.Headers;
import jakarta.annotation.Nullable;
import java.util.Optional;
import java.util.UUID;

/**
 * Who edits what.
 *
 * @param person who they are: their account, or, where nobody has one, a key their browser keeps
 * @param seen the revision they saw; where it is given, edits of an older one are refused
 */
public record Editor(UUID project, String person, Optional<Long> seen) {
    /** The header that says who edits. */
    public static final String PERSON = Headers.PERSON;

    private static final int LONGEST = 60;

    /**
     * Who makes the request that is being answered: their account.
     *
     * @param key of their browser, which tells who they are where nobody has an account
     */
    @Nullable
    public static String person(@Nullable String key) {
        return Who.accountNow().map(UUID::toString).orElse(key);
    }

    public static Editor of(UUID project, @Nullable String person, @Nullable String ifMatch) {
        String name = person == null || person.isBlank() ? "somebody" : person.strip();
        return new Editor(
                project, name.length() > LONGEST ? name.substring(0, LONGEST) : name, Revisions.parse(ifMatch));
    }
}
