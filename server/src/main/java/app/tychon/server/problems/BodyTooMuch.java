package app.tychon.server.problems;

import java.io.IOException;

/** The body of a request is too large, or comes too slowly; nothing was changed. */
public final class BodyTooMuch extends IOException {
    private static final long serialVersionUID = 1L;

    public BodyTooMuch(String sentence) {
        super(sentence);
    }
}
