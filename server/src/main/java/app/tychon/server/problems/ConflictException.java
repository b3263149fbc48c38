package app.tychon.server.problems;

/** What was asked for does not fit what has happened meanwhile. */
public final class ConflictException extends RuntimeException {
    public ConflictException(String sentence) {
        super(sentence);
    }
}
