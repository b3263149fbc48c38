package app.tychon.core.simulation;

import app.tychon.core.model.Activity;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.PathTrace;
import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.draws.Draws;
import app.tychon.core.simulation.engine.BatchWorker;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Witness;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunSettings;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * One iteration of a run, computed again in full. Instants are minutes as in {@link app.tychon.core.calendar.Instants}.
 *
 * @param iteration  from 0
 * @param duration   working minutes of the project calendar from the project's start to its finish
 * @param activities in the plan's order
 * @param risks      those that struck, by id
 * @param path       ids of the driving path, from its start to the finish
 */
public record Replay(
        int iteration,
        double finish,
        double duration,
        Money cost,
        List<ReplayedActivity> activities,
        List<Struck> risks,
        List<String> path) {
    /** Lanes that are worked off together to get at one: draws come in fours. */
    private static final int LANES = 4;

    /** Total cost by cause, as in {@link RunResult.CostSamples}. */
    public record Money(double planned, double spread, double timeDriven, double risk, double actions) {
        public double total() {
            return planned + spread + timeDriven + risk + actions;
        }
    }

    /**
     * @param duration working minutes of its own calendar, risks included
     * @param undisturbed the same without risks
     * @param critical whether it lay on a longest path
     * @param cost of all that stands on it
     */
    public record ReplayedActivity(
            String id,
            double start,
            double finish,
            double duration,
            double undisturbed,
            boolean critical,
            double cost) {}

    /** A risk that struck, and how often. */
    public record Struck(String id, int times) {}

    /** @param iteration of a run with these settings, from 0 */
    public static Replay of(CompiledPlan plan, RunSettings settings, int iteration) {
        if (iteration < 0 || iteration >= RunSettings.MOST_ITERATIONS) {
            throw new IllegalArgumentException("there is no iteration " + iteration);
        }
        BatchWorker worker = new BatchWorker(plan, new Draws(settings.seed(), settings.sampling()), LANES);
        Batch batch = worker.batch(iteration - iteration % LANES, LANES);
        worker.iterate(batch, Witness.NONE);
        worker.trace.run(worker.lanes, LANES);
        int lane = iteration % LANES;
        return new Replay(
                iteration,
                worker.finish(lane),
                worker.duration(lane),
                new Money(
                        plan.plannedCost(),
                        worker.money.spread[lane],
                        worker.money.timeDriven[lane],
                        worker.money.risk[lane],
                        plan.costs().actions()),
                activities(plan, worker, batch, lane),
                struck(plan, worker, lane),
                path(plan.network(), worker, lane));
    }

    private static List<ReplayedActivity> activities(CompiledPlan plan, BatchWorker worker, Batch batch, int lane) {
        Network network = plan.network();
        Map<String, Integer> owners = plan.costs().owners();
        double[] undisturbed = new double[LANES];
        List<ReplayedActivity> activities = new ArrayList<>();
        for (Activity activity : network.plan().activities()) {
            int i = network.position(activity.id());
            plan.duration(i).sample(batch, undisturbed);
            Integer owner = owners.get(activity.id());
            // A milestone that risks delay still takes no time.
            double duration = activity.isMilestone() ? 0 : worker.lanes.duration[i][lane];
            boolean isWork = !activity.isHammock() && !network.work(i).isFinished();
            activities.add(new ReplayedActivity(
                    activity.id(),
                    worker.lanes.start[i][lane],
                    worker.lanes.finish[i][lane],
                    duration,
                    isWork ? undisturbed[lane] + network.work(i).done() : duration,
                    worker.lanes.critical[i][lane],
                    owner == null ? 0 : worker.money.owners[owner][lane]));
        }
        return activities;
    }

    private static List<Struck> struck(CompiledPlan plan, BatchWorker worker, int lane) {
        return plan.risks().events().stream()
                .filter(event -> worker.strikes.count[event.index()][lane] > 0)
                .map(event -> new Struck(event.risk().id(), worker.strikes.count[event.index()][lane]))
                .sorted(Comparator.comparing(Struck::id))
                .toList();
    }

    private static List<String> path(Network network, BatchWorker worker, int lane) {
        PathTrace trace = new PathTrace(network.size(), LANES, worker.trace);
        trace.run(worker.lanes, LANES);
        List<String> path = new ArrayList<>();
        for (int i = trace.length(lane) - 1; i >= 0; i--) {
            path.add(network.activity(trace.backwards(lane)[i]).id());
        }
        return path;
    }
}
