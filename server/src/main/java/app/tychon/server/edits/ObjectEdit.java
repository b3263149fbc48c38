package app.tychon.server.edits;

import jakarta.annotation.Nullable;
import java.time.Instant;

/**
 * What an edit did to one object of a plan.
 *
 * @param own    whether the reader made it
 * @param before in the words of the project file; absent where the edit made it
 * @param after  absent where the edit removed it
 */
public record ObjectEdit(long revision, Instant at, boolean own, @Nullable String before, @Nullable String after) {}
