package app.tychon.core.schedule;

import java.util.Arrays;

/**
 * The driving path of every lane, found for all lanes together from the last activity to the first, so that lanes that
 * share an activity look at it while its row is in the processor's cache. For one thread at a time.
 */
public final class PathTrace {
    private static final int NONE = -1;
    private static final int FIRST_LENGTH = 64;

    private final CriticalTrace trace;
    /** Per position, the first lane whose path is to go on from there. */
    private final int[] waiting;
    /** Per lane, the next one that waits at the same position. */
    private final int[] next;

    private final int[][] paths;
    private final int[] lengths;

    public PathTrace(int activities, int width, CriticalTrace trace) {
        this.trace = trace;
        waiting = new int[activities];
        Arrays.fill(waiting, NONE);
        next = new int[width];
        paths = new int[width][FIRST_LENGTH];
        lengths = new int[width];
    }

    /** Follows the paths of the first {@code count} lanes, which the critical trace has run. */
    public void run(Lanes lanes, int count) {
        Arrays.fill(lengths, 0, count, 0);
        for (int k = 0; k < count; k++) {
            queue(lanes.last[k], k);
        }
        for (int i = waiting.length - 1; i >= 0; i--) {
            int lane = waiting[i];
            waiting[i] = NONE;
            while (lane != NONE) {
                int following = next[lane];
                append(i, lane);
                queue(trace.driverOf(i, lanes, lane), lane);
                lane = following;
            }
        }
    }

    private void queue(int position, int lane) {
        if (position >= 0) {
            next[lane] = waiting[position];
            waiting[position] = lane;
        }
    }

    private void append(int position, int lane) {
        if (lengths[lane] == paths[lane].length) {
            paths[lane] = Arrays.copyOf(paths[lane], 2 * lengths[lane]);
        }
        paths[lane][lengths[lane]++] = position;
    }

    /** The path of a lane from the activity that finishes the project back to its start; valid up to {@link #length}. */
    public int[] backwards(int lane) {
        return paths[lane];
    }

    public int length(int lane) {
        return lengths[lane];
    }
}
