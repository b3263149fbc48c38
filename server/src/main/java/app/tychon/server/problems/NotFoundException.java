package app.tychon.server.problems;

/** What was asked for is not there (any more). */
public final class NotFoundException extends RuntimeException {
    public NotFoundException(String sentence) {
        super(sentence);
    }
}
