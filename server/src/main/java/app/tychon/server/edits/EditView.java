package app.tychon.server.edits;

import java.time.Instant;

/**
 * An edit as the history lists it.
 *
 * @param own whether the reader made it
 */
record EditView(long revision, Instant at, boolean own, String label) {}
