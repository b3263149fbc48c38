package app.tychon.server.problems;

/** There is too much to do just now; nothing was changed, and the same may be asked again. */
public final class BusyException extends RuntimeException {
    public BusyException(String sentence) {
        super(sentence);
    }
}
