package app.tychon.server.problems;

import java.util.List;

/** What was asked for does not fit what has happened meanwhile. */
public final class ConflictException extends RuntimeException {
    private final transient List<?> clashes;

    public ConflictException(String sentence) {
        this(sentence, List.of());
    }

    /** @param clashes what of it was changed meanwhile, for those who want to choose */
    public ConflictException(String sentence, List<?> clashes) {
        super(sentence);
        this.clashes = clashes;
    }

    List<?> clashes() {
        return clashes;
    }
}
