package app.tychon.server.runs;

import jakarta.annotation.Nullable;

/**
 * What is said of a run as it begins.
 *
 * @param name what it is called
 * @param note why it is made
 * @param person who makes it: a key their browser keeps
 */
record RunWords(@Nullable String name, @Nullable String note, @Nullable String person) {}
