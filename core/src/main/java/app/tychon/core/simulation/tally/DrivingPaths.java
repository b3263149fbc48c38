package app.tychon.core.simulation.tally;

import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.PathTrace;
import app.tychon.core.simulation.result.RunResult.DrivingPath;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.IntFunction;

/**
 * Counts the driving paths of a run. Paths are told apart by a 64-bit hash of the activities on them; those that are met
 * once there is no more room for them are worked out again from a future they drove, where they turn out to be frequent.
 */
public final class DrivingPaths {
    private static final int MOST = 50;
    /** Activities on all paths that are kept. */
    private static final long USUAL_ROOM = 4_000_000;

    private final PathHash hash;
    /** The path of each iteration, as a hash. */
    private final long[] pathOf;

    private final Map<Long, int[]> paths = new ConcurrentHashMap<>();
    private final AtomicLong room;

    public DrivingPaths(Network network, int iterations) {
        this(network, iterations, USUAL_ROOM);
    }

    DrivingPaths(Network network, int iterations, long room) {
        hash = new PathHash(network);
        this.room = new AtomicLong(room);
        pathOf = new long[iterations];
    }

    /** Notes the paths of a batch. */
    public void add(PathTrace trace, int first, int count) {
        for (int k = 0; k < count; k++) {
            int[] path = trace.backwards(k);
            long own = hash.of(trace, k);
            pathOf[first + k] = own;
            if (!paths.containsKey(own) && room.addAndGet(-trace.length(k)) >= 0) {
                paths.put(own, Arrays.copyOf(path, trace.length(k)));
            }
        }
    }

    /** The hashes of the first {@code count} iterations, and the paths that were kept, which it forgets. */
    void pack(Packer out, int count) {
        out.longs(Arrays.copyOf(pathOf, count)).whole(paths.size());
        paths.forEach((own, path) -> {
            out.longs(new long[] {own}).whole(path.length);
            for (int position : path) {
                out.whole(position);
            }
            room.addAndGet(path.length);
        });
        paths.clear();
    }

    /** Takes over what the paths of a part of the run have packed. */
    void merge(Unpacker in, int first, int count) {
        in.longs(pathOf, first, count);
        for (int left = in.whole(); left > 0; left--) {
            long[] own = new long[1];
            in.longs(own, 0, 1);
            int[] path = new int[in.below(hash.size() + 1)];
            for (int i = 0; i < path.length; i++) {
                path[i] = in.below(hash.size());
            }
            if (!paths.containsKey(own[0]) && room.addAndGet(-path.length) >= 0) {
                paths.put(own[0], path);
            }
        }
    }

    /** A path as it was met: in which iteration first, how often, and how long the project took then altogether. */
    private static final class Met {
        private final int first;
        private int count;
        private double duration;

        Met(int first) {
            this.first = first;
        }
    }

    /**
     * The most frequent of the first {@code iterations}; of equally frequent ones, the one met first.
     *
     * @param again works out the path of an iteration, ids from its start to the finish
     */
    public List<DrivingPath> result(int iterations, double[] duration, IntFunction<List<String>> again) {
        Map<Long, Met> met = new LinkedHashMap<>();
        for (int i = 0; i < iterations; i++) {
            int iteration = i;
            Met path = met.computeIfAbsent(pathOf[i], key -> new Met(iteration));
            path.count++;
            path.duration += duration[i];
        }
        List<Map.Entry<Long, Met>> frequent = new ArrayList<>(met.entrySet());
        frequent.sort(Comparator.comparingInt(e -> -e.getValue().count));
        return frequent.stream()
                .limit(MOST)
                .map(e -> {
                    int[] kept = paths.get(e.getKey());
                    Met path = e.getValue();
                    return new DrivingPath(
                            kept == null ? again.apply(path.first) : hash.ids(kept),
                            (double) path.count / iterations,
                            path.duration / path.count);
                })
                .toList();
    }
}
