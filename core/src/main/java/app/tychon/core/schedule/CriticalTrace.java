package app.tychon.core.schedule;

import app.tychon.core.model.LinkType;
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

    /** Positions that can finish the project, or the target. */
    private final boolean[] ends;
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
        ends = target == PROJECT ? ends() : only(target);
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

    private boolean[] only(int position) {
        boolean[] one = new boolean[network.size()];
        one[position] = true;
        return one;
    }

    /**
     * Positions that can finish the project. A successor that starts after an activity finishes no earlier, in any calendar.
     * One that is held at its finish may: where its calendar rests, it is done at the end of the shift before.
     */
    private boolean[] ends() {
        boolean[] ends = new boolean[network.size()];
        for (int i = 0; i < network.size(); i++) {
            ends[i] = !network.isHammock(i);
        }
        for (int i = 0; i < network.size(); i++) {
            boolean isHeld = !network.isHammock(i) && !network.work(i).isFinished();
            for (int link = network.firstIn(i); isHeld && link < network.firstIn(i + 1); link++) {
                ends[network.from(link)] &= network.type(link) != LinkType.FS || network.lag(link) < 0;
            }
        }
        return ends;
    }

    /** Fills {@link Lanes#critical} and {@link Lanes#last} for the first {@code count} lanes, which the pass has run. */
    public void run(Lanes lanes, int count) {
        Arrays.fill(lanes.last, 0, count, -1);
        Arrays.fill(any, false);
        for (boolean[] row : lanes.critical) {
            Arrays.fill(row, 0, count, false);
        }
        for (int i = network.size() - 1; i >= 0; i--) {
            if (ends[i]) {
                any[i] |= end(i, lanes, count);
            }
            for (int link = network.firstIn(i); any[i] && link < network.firstIn(i + 1); link++) {
                any[network.from(link)] |= trace(link, i, lanes, count);
            }
        }
    }

    /**
     * Marks what finishes the project, or is the target. The path of a lane ends with the first of these by id, of those that
     * drive nothing critical.
     */
    private boolean end(int i, Lanes lanes, int count) {
        boolean[] critical = lanes.critical[i];
        double[] finish = lanes.finish[i];
        boolean found = false;
        for (int k = 0; k < count; k++) {
            boolean isEnd = target != PROJECT || lanes.end[k] - finish[k] <= ForwardPass.SAME;
            if (isEnd && !critical[k]) {
                critical[k] = true;
                found = true;
                if (lanes.last[k] < 0 || rank[i] < rank[lanes.last[k]]) {
                    lanes.last[k] = i;
                }
            }
        }
        return found;
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
