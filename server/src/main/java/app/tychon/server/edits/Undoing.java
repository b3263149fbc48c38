package app.tychon.server.edits;

import jakarta.annotation.Nullable;

/** What the reader could take back, and do again, now: labels of edits, absent where there is nothing. */
public record Undoing(@Nullable String undo, @Nullable String redo) {}
