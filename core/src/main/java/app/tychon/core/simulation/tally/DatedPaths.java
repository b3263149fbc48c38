package app.tychon.core.simulation.tally;

import app.tychon.core.schedule.Lanes;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.PathTrace;
import app.tychon.core.simulation.result.DatedPath;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;

/**
 * Notes the driving path of every iteration and when its work stood. Paths that are met first once there is no more room
 * for them are known to have driven and no more; frequent ones are met early.
 */
public final class DatedPaths {
    /** Activities on all paths that are kept. */
    private static final long ROOM = 4_000_000;
    /** Dates are added up in so many parts of a minute, as whole numbers, so that no order of threads changes them. */
    private static final double PARTS = 1024;

    /** @param sums of the starts, then of the finishes, from the end of the path to its start */
    private record Sums(int[] backwards, long[] sums) {
        synchronized void add(Lanes lanes, int lane) {
            int length = backwards.length;
            for (int i = 0; i < length; i++) {
                sums[i] += Math.round(lanes.start[backwards[i]][lane] * PARTS);
                sums[length + i] += Math.round(lanes.finish[backwards[i]][lane] * PARTS);
            }
        }

        double[] means(int offset, int futures) {
            int length = backwards.length;
            double[] means = new double[length];
            for (int i = 0; i < length; i++) {
                means[i] = sums[offset + length - 1 - i] / PARTS / futures;
            }
            return means;
        }
    }

    private final PathHash hash;
    private final long[] hashOf;
    private final Map<Long, Sums> paths = new ConcurrentHashMap<>();
    private final AtomicLong room = new AtomicLong(ROOM);

    public DatedPaths(Network network, int iterations) {
        hash = new PathHash(network);
        hashOf = new long[iterations];
    }

    /** Notes the paths of a batch. */
    public void add(PathTrace trace, Lanes lanes, int first, int count) {
        for (int k = 0; k < count; k++) {
            long own = hash.of(trace, k);
            int length = trace.length(k);
            hashOf[first + k] = own;
            int[] backwards = trace.backwards(k);
            Sums sums = paths.get(own);
            if (sums == null && room.addAndGet(-length) >= 0) {
                sums = paths.computeIfAbsent(
                        own, h -> new Sums(Arrays.copyOf(backwards, length), new long[2 * length]));
            }
            if (sums != null) {
                sums.add(lanes, k);
            }
        }
    }

    /**
     * The most frequent of the first {@code iterations}; of equally frequent ones, the one met first.
     *
     * @param pathOf is filled with the place in the list of the path of each iteration, -1 where it is not there
     */
    public List<DatedPath> result(int iterations, int most, int[] pathOf) {
        Map<Long, Integer> counts = new LinkedHashMap<>();
        for (int i = 0; i < iterations; i++) {
            counts.merge(hashOf[i], 1, Integer::sum);
        }
        List<Map.Entry<Long, Integer>> frequent = counts.entrySet().stream()
                .filter(one -> paths.containsKey(one.getKey()))
                .sorted(Comparator.comparingInt(one -> -one.getValue()))
                .limit(most)
                .toList();
        List<DatedPath> result = new ArrayList<>();
        Map<Long, Integer> places = new HashMap<>();
        for (Map.Entry<Long, Integer> one : frequent) {
            places.put(one.getKey(), result.size());
            Sums sums = paths.get(one.getKey());
            int futures = one.getValue();
            result.add(new DatedPath(
                    hash.ids(sums.backwards()),
                    futures,
                    sums.means(0, futures),
                    sums.means(sums.backwards().length, futures)));
        }
        for (int i = 0; i < iterations; i++) {
            pathOf[i] = places.getOrDefault(hashOf[i], -1);
        }
        return result;
    }
}
