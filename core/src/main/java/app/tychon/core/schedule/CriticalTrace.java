package app.tychon.core.schedule;

import java.util.Arrays;
import java.util.Comparator;
import java.util.stream.IntStream;

/**
 * Which activities lie on a longest path to the project's finish: those that finish it, and those from which a driving
 * link leads to one that does. Driving links are traced, float is not consulted, so calendars cannot hide a path.
 * O(activities + links) an iteration.
 */
public final class CriticalTrace {
    private final Network network;
    private final ForwardPass pass;
    /** Where each position's id stands in order; where several drive, the first counts, whatever the order of rows. */
    private final int[] rank;

    public CriticalTrace(Network network, ForwardPass pass) {
        this.network = network;
        this.pass = pass;
        rank = new int[network.size()];
        int[] sorted = IntStream.range(0, network.size())
                .boxed()
                .sorted(Comparator.comparing(i -> network.activity(i).id()))
                .mapToInt(Integer::intValue)
                .toArray();
        for (int r = 0; r < sorted.length; r++) {
            rank[sorted[r]] = r;
        }
    }

    /** Fills {@link Lanes#critical} and {@link Lanes#last} for the first {@code count} lanes, which the pass has run. */
    public void run(Lanes lanes, int count) {
        Arrays.fill(lanes.last, 0, count, -1);
        for (int i = 0; i < network.size(); i++) {
            boolean[] critical = lanes.critical[i];
            double[] finish = lanes.finish[i];
            boolean drivesNothing = network.isHammock(i);
            for (int k = 0; k < count; k++) {
                critical[k] = !drivesNothing && lanes.end[k] - finish[k] <= ForwardPass.SAME;
                if (critical[k] && (lanes.last[k] < 0 || rank[i] < rank[lanes.last[k]])) {
                    lanes.last[k] = i;
                }
            }
        }
        for (int i = network.size() - 1; i >= 0; i--) {
            boolean[] critical = lanes.critical[i];
            for (int link = network.firstIn(i); link < network.firstIn(i + 1); link++) {
                boolean[] before = lanes.critical[network.from(link)];
                for (int k = 0; k < count; k++) {
                    if (critical[k] && !before[k]) {
                        before[k] = pass.drives(link, i, lanes, k);
                    }
                }
            }
        }
    }

    /** The activity that drives another in a lane, or -1 where none does; of several the first by id. */
    public int driverOf(int position, Lanes lanes, int lane) {
        int driver = -1;
        for (int link = network.firstIn(position); link < network.firstIn(position + 1); link++) {
            int from = network.from(link);
            boolean better = driver < 0 || rank[from] < rank[driver];
            if (better && lanes.critical[from][lane] && pass.drives(link, position, lanes, lane)) {
                driver = from;
            }
        }
        return driver;
    }

    /** The driving path of a lane that has been run, from the activity that finishes the project back to its start. */
    public int[] pathBack(Lanes lanes, int lane) {
        int[] path = new int[Math.min(64, network.size())];
        int length = 0;
        for (int at = lanes.last[lane]; at >= 0; at = driverOf(at, lanes, lane)) {
            if (length == path.length) {
                path = Arrays.copyOf(path, 2 * length);
            }
            path[length++] = at;
        }
        return Arrays.copyOf(path, length);
    }
}
