package app.tychon.core.schedule;

/**
 * Which activities lie on a longest path to the project's finish: those that finish it, and those from which a driving
 * link leads to one that does. Driving links are traced, float is not consulted, so calendars cannot hide a path.
 * O(activities + links) an iteration.
 */
public final class CriticalTrace {
    private final Network network;
    private final ForwardPass pass;

    public CriticalTrace(Network network, ForwardPass pass) {
        this.network = network;
        this.pass = pass;
    }

    /** Fills {@link Lanes#critical} for the first {@code count} lanes, which the pass has run. */
    public void run(Lanes lanes, int count) {
        for (int i = 0; i < network.size(); i++) {
            for (int k = 0; k < count; k++) {
                lanes.critical[i][k] = lanes.end[k] - lanes.finish[i][k] <= ForwardPass.SAME;
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
}
