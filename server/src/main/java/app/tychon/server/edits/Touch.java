package app.tychon.server.edits;

import java.time.Instant;

/**
 * When an object was edited last.
 *
 * @param own whether the reader did that
 */
public record Touch(Instant at, boolean own) {}
