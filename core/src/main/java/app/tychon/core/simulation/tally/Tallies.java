package app.tychon.core.simulation.tally;

import app.tychon.core.schedule.Lanes;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.draws.Draws;
import app.tychon.core.simulation.engine.BatchWorker;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Witness;
import app.tychon.core.simulation.settings.RunSettings;

/** What is counted of activities and branches, over ranges that a pilot of the run's first iterations has shown. */
public final class Tallies {
    /** Iterations that show what range to expect of each activity. */
    private static final int PILOT = 100;

    public final ActivityTallies activities;
    public final BranchTallies branches;

    private Tallies(ActivityTallies activities, BranchTallies branches) {
        this.activities = activities;
        this.branches = branches;
    }

    /** Empty ones for a run. */
    public static Tallies of(CompiledPlan plan, RunSettings settings) {
        Network network = plan.network();
        int count = Math.min(PILOT, settings.iterations());
        BatchWorker pilot = new BatchWorker(plan, new Draws(settings.seed(), settings.sampling()), count);
        pilot.iterate(pilot.batch(0, count), Witness.NONE);
        Lanes lanes = pilot.lanes;
        return new Tallies(ActivityTallies.forPilot(lanes, count), BranchTallies.forPilot(network, pilot.spans, count));
    }

    /** Others, empty, over the same ranges. */
    Tallies sibling() {
        return new Tallies(activities.sibling(), branches.sibling());
    }

    public void merge(Tallies other) {
        activities.merge(other.activities);
        branches.merge(other.branches);
    }

    void clear() {
        activities.clear();
        branches.clear();
    }

    void pack(Packer out) {
        activities.pack(out);
        branches.pack(out);
    }

    void merge(Unpacker in) {
        activities.merge(in);
        branches.merge(in);
    }
}
