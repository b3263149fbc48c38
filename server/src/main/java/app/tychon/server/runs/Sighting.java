package app.tychon.server.runs;

import app.tychon.core.simulation.settings.Interim;
import app.tychon.server.live.Outlook;
import app.tychon.server.plan.LoadedPlan;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicBoolean;

/**
 * Looks at what a run has simulated while it runs: each time it has got on by a fifth, one look at a time and on a thread of
 * its own, so that a long run is not held up.
 */
class Sighting {
    /** For a run that is not to be drawn. */
    static final Sighting NONE = new Sighting(null, 0, 0);

    private static final double FURTHER = 1.2;

    private final LoadedPlan plan;
    private final double level;
    private final double certainty;
    private final AtomicBoolean looking = new AtomicBoolean();
    private volatile Interim interim;
    private volatile RunView.Sight last;
    private volatile int seen;

    private Sighting(LoadedPlan plan, double level, double certainty) {
        this.plan = plan;
        this.level = level;
        this.certainty = certainty;
    }

    /**
     * @param percent of the percentile that is to be steady
     * @param certainty of the intervals by which that is judged
     */
    static Sighting of(LoadedPlan plan, int percent, double certainty) {
        return new Sighting(plan, percent / 100.0, certainty);
    }

    void watch(Interim begun) {
        interim = begun;
    }

    /** So many iterations are done: looks at them where that is worth it. */
    void reached(int done) {
        if (plan != null && done >= FURTHER * seen && looking.compareAndSet(false, true)) {
            CompletableFuture.runAsync(this::look);
        }
    }

    private void look() {
        try {
            Interim.Values values = interim.values();
            if (values.iterations() > seen) {
                last = new RunView.Sight(
                        Outlook.of(plan, values), interim.unsteadiness(level, certainty, values.iterations()));
                seen = values.iterations();
            }
        } finally {
            looking.set(false);
        }
    }

    /** What was seen last; null before anything was. */
    RunView.Sight last() {
        return last;
    }
}
