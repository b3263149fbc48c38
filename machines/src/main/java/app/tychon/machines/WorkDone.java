package app.tychon.machines;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** What a worker has in hand, and has done. */
final class WorkDone {
    /** Blocks in hand, by run; a run as often as there are blocks of it. */
    private final List<String> hands = new ArrayList<>();

    private long blocks;
    private long iterations;
    private long bytes;

    synchronized void took(String run) {
        hands.add(run);
    }

    synchronized void gaveBack(String run) {
        hands.remove(run);
    }

    synchronized void did(String run, int count, int size) {
        hands.remove(run);
        blocks++;
        iterations += count;
        bytes += size;
    }

    synchronized int busy() {
        return hands.size();
    }

    synchronized Set<String> runs() {
        return new HashSet<>(hands);
    }

    synchronized long blocks() {
        return blocks;
    }

    synchronized long iterations() {
        return iterations;
    }

    synchronized long bytes() {
        return bytes;
    }
}
