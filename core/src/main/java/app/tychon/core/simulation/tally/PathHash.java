package app.tychon.core.simulation.tally;

import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.PathTrace;
import app.tychon.core.simulation.draws.RandomStream;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** Tells paths apart by 64 bits of the activities on them. */
final class PathHash {
    private final Network network;
    private final long[] hashes;

    PathHash(Network network) {
        this.network = network;
        hashes = IntStream.range(0, network.size())
                .mapToLong(i -> RandomStream.of(
                                RandomStream.Role.DURATION, network.activity(i).id())
                        .id())
                .toArray();
    }

    /** Activities that a path may lead over. */
    int size() {
        return hashes.length;
    }

    /** That of a lane's path. */
    long of(PathTrace trace, int lane) {
        int[] path = trace.backwards(lane);
        long hash = 0;
        for (int i = 0; i < trace.length(lane); i++) {
            hash = new RandomStream(hash * 31 + hashes[path[i]]).nth(1).id();
        }
        return hash;
    }

    /** Ids from the start of a path to its end. */
    List<String> ids(int[] backwards) {
        List<String> ids = new ArrayList<>();
        for (int i = backwards.length - 1; i >= 0; i--) {
            ids.add(network.activity(backwards[i]).id());
        }
        return ids;
    }
}
