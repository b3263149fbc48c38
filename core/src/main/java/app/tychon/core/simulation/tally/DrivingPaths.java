package app.tychon.core.simulation.tally;

import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.PathTrace;
import app.tychon.core.simulation.draws.RandomStream;
import app.tychon.core.simulation.result.RunResult.DrivingPath;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;

/** Counts the driving paths of a run. Paths are told apart by a 64-bit hash of the activities on them. */
public final class DrivingPaths {
    private static final int MOST = 50;

    private final Network network;
    private final long[] hashes;
    /** The path of each iteration, as a hash. */
    private final long[] pathOf;

    private final Map<Long, int[]> paths = new ConcurrentHashMap<>();

    public DrivingPaths(Network network, int iterations) {
        this.network = network;
        pathOf = new long[iterations];
        hashes = IntStream.range(0, network.size())
                .mapToLong(i -> RandomStream.of(
                                RandomStream.Role.DURATION, network.activity(i).id())
                        .id())
                .toArray();
    }

    /** Notes the paths of a batch. */
    public void add(PathTrace trace, int first, int count) {
        for (int k = 0; k < count; k++) {
            int[] path = trace.backwards(k);
            long hash = 0;
            for (int i = 0; i < trace.length(k); i++) {
                hash = new RandomStream(hash * 31 + hashes[path[i]]).nth(1).id();
            }
            pathOf[first + k] = hash;
            if (!paths.containsKey(hash)) {
                paths.put(hash, Arrays.copyOf(path, trace.length(k)));
            }
        }
    }

    /** The most frequent of the first {@code iterations}; of equally frequent ones, the one met first. */
    public List<DrivingPath> result(int iterations, double[] duration) {
        Map<Long, double[]> met = new LinkedHashMap<>();
        for (int i = 0; i < iterations; i++) {
            double[] sums = met.computeIfAbsent(pathOf[i], h -> new double[2]);
            sums[0]++;
            sums[1] += duration[i];
        }
        List<Map.Entry<Long, double[]>> frequent = new ArrayList<>(met.entrySet());
        frequent.sort(Comparator.comparingDouble(e -> -e.getValue()[0]));
        return frequent.stream()
                .limit(MOST)
                .map(e -> new DrivingPath(
                        ids(paths.get(e.getKey())), e.getValue()[0] / iterations, e.getValue()[1] / e.getValue()[0]))
                .toList();
    }

    private List<String> ids(int[] backwards) {
        List<String> ids = new ArrayList<>();
        for (int i = backwards.length - 1; i >= 0; i--) {
            ids.add(network.activity(backwards[i]).id());
        }
        return ids;
    }
}
