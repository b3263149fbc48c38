package app.tychon.machines;

import java.time.Instant;
import java.util.Set;

/**
 * A machine that takes part, as it is now.
 *
 * @param kind    server or worker
 * @param address where it comes from
 * @param threads blocks it may work at at once
 * @param busy    blocks it has in hand
 * @param runs    that those are of
 * @param blocks  it has done since it joined, as far as this server gave them
 * @param iterations of those
 * @param bytes   that came back
 */
public record Machine(
        String id,
        String name,
        String kind,
        String address,
        int threads,
        Instant since,
        int busy,
        Set<String> runs,
        long blocks,
        long iterations,
        long bytes) {}
