package app.tychon.server.launch;

/** Why the application cannot start, in one sentence for the person at the terminal. */
public final class CannotStart extends RuntimeException {
    public CannotStart(String sentence) {
        super(sentence);
    }
}
