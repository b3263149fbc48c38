package app.tychon.server.costs;

import jakarta.annotation.Nullable;

/**
 * What is to change in a resource, or a new one, as people write it; what is absent stays. It describes the JSON only, which is
 * read leniently, so that every problem can be told by field.
 *
 * @param id    its code; of a new one it may be empty, then it is made of the name
 * @param add   true for a new resource
 * @param rate  1950, 1.95k; with others from a day on: 1950; 2050 from 2028-01-01
 * @param per   hour, day or unit
 * @param limit most units at a time; empty for as many as are wanted
 * @param work  all activities on which it works, such as I10; I20 0.5
 */
record ResourceWords(
        String id,
        @Nullable Boolean add,
        @Nullable String name,
        @Nullable String rate,
        @Nullable String per,
        @Nullable String limit,
        @Nullable String category,
        @Nullable String work) {}
