package app.tychon.exchange.table;

/** A file that is no table that could be read; the message says why in a sentence. */
public final class UnreadableTableException extends Exception {
    private static final long serialVersionUID = 1L;

    public UnreadableTableException(String message) {
        super(message);
    }
}
