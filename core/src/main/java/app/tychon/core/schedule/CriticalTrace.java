package app.tychon.core.schedule;

import java.util.Arrays;
import java.util.Comparator;
import java.util.stream.IntStream;

/**
 * Which activities lie on a longest path to the project's finish, or to another target: those that finish it, and those from which a driving
 * link leads to one that does. Driving links are traced, float is not consulted, so calendars cannot hide a path.
 * O(activities + links) an iteration. For one thread at a time.
 */
public final class CriticalTrace {
    /** Stands for the project's finish as the target. */
    public static final int PROJECT = -1;

    private final Network network;
    private final int target;
    private final ForwardPass pass;
    /** Where each position's id stands in order; where several drive, the first counts, whatever the order of rows. */
    private final int[] rank;

    private final int[] terminals;
    /** Whether a position is critical in any lane; working space. */
    private final boolean[] any;

    /** A trace to the project's finish. */
    public CriticalTrace(Network network, ForwardPass pass) {
        this(network, pass, PROJECT);
    }

    /** @param target position of the activity whose finish counts, or {@link #PROJECT} */
    public CriticalTrace(Network network, ForwardPass pass, int target) {
        this.network = network;
        this.target = target;
        this.pass = pass;
        terminals = target == PROJECT ? terminals() : new int[] {target};
        any = new boolean[network.size()];
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

    /**
     * Positions that can finish the project: no link holds a successor until after them. Where a successor takes no time
     * it finishes the project too, and the trace comes from there.
     */
    private int[] terminals() {
        boolean[] goesOn = new boolean[network.size()];
        for (int i = 0; i < network.size(); i++) {
            boolean isHeld = !network.isHammock(i) && !network.work(i).isFinished();
            for (int link = network.firstIn(i); isHeld && link < network.firstIn(i + 1); link++) {
                goesOn[network.from(link)] |= network.type(link).fromFinish() && network.lag(link) >= 0;
            }
        }
        return IntStream.range(0, network.size())
                .filter(i -> !goesOn[i] && !network.isHammock(i))
                .toArray();
    }

    /** Fills {@link Lanes#critical} and {@link Lanes#last} for the first {@code count} lanes, which the pass has run. */
    public void run(Lanes lanes, int count) {
        Arrays.fill(lanes.last, 0, count, -1);
        Arrays.fill(any, false);
        for (boolean[] row : lanes.critical) {
            Arrays.fill(row, 0, count, false);
        }
        for (int i : terminals) {
            boolean[] critical = lanes.critical[i];
            double[] finish = lanes.finish[i];
            for (int k = 0; k < count; k++) {
                if (target != PROJECT || lanes.end[k] - finish[k] <= ForwardPass.SAME) {
                    critical[k] = true;
                    any[i] = true;
                    if (lanes.last[k] < 0 || rank[i] < rank[lanes.last[k]]) {
                        lanes.last[k] = i;
                    }
                }
            }
        }
        for (int i = network.size() - 1; i >= 0; i--) {
            for (int link = network.firstIn(i); any[i] && link < network.firstIn(i + 1); link++) {
                any[network.from(link)] |= trace(link, i, lanes, count);
            }
        }
    }

    /** Marks the predecessor in every lane in which the successor is critical and the link drives it. */
    private boolean trace(int link, int to, Lanes lanes, int count) {
        boolean[] critical = lanes.critical[to];
        boolean[] before = lanes.critical[network.from(link)];
        boolean found = false;
        for (int k = 0; k < count; k++) {
            if (critical[k] && !before[k] && pass.drives(link, to, lanes, k)) {
                before[k] = true;
                found = true;
            }
        }
        return found;
    }

    /** The activity that drives another in a lane, or -1 where none does; of several the first by id. */
    int driverOf(int position, Lanes lanes, int lane) {
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
}
