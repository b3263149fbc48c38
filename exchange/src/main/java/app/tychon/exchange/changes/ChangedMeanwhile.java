package app.tychon.exchange.changes;

/** An object is no longer as a change left it, so that the change cannot be taken back or done again. */
public final class ChangedMeanwhile extends RuntimeException {
    private static final long serialVersionUID = 1L;

    ChangedMeanwhile(String key) {
        super("This cannot be taken back any more: “" + key + "” has been changed since by somebody else.");
    }
}
