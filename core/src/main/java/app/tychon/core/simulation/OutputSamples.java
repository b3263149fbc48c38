package app.tychon.core.simulation;

import app.tychon.core.model.Activity;
import app.tychon.core.model.WbsNode;
import app.tychon.core.schedule.ForwardPass;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.RunResult.Output;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/** Keeps all values of branches, milestones and watched activities. */
final class OutputSamples {
    private static final double[] NO_MONEY = {};

    /** @param owners rows of the money that is its own or lies beneath it */
    private record Kept(Output output, int position, int row, int[] owners) {}

    private final ForwardPass pass;
    private final List<Kept> kept = new ArrayList<>();

    OutputSamples(CompiledPlan plan, int iterations) {
        pass = plan.pass();
        Network network = plan.network();
        Map<String, Integer> owners = plan.costs().owners();
        BranchSpans rows = new BranchSpans(network, 1);
        for (WbsNode branch : network.plan().wbs()) {
            if (network.branches().beneath(branch.id()).length > 0) {
                int[] beneath = owners.entrySet().stream()
                        .filter(e -> RiskTargets.standsIn(network, e.getKey(), branch.id()))
                        .mapToInt(Map.Entry::getValue)
                        .toArray();
                keep(Output.Kind.BRANCH, branch.id(), -1, rows.row(branch.id()), beneath, iterations);
            }
        }
        for (Activity activity : network.plan().activities()) {
            if (activity.isMilestone() || activity.watch()) {
                int[] own = owners.containsKey(activity.id()) ? new int[] {owners.get(activity.id())} : new int[0];
                keep(Output.Kind.ACTIVITY, activity.id(), network.position(activity.id()), -1, own, iterations);
            }
        }
    }

    private void keep(Output.Kind kind, String id, int position, int row, int[] owners, int iterations) {
        kept.add(new Kept(
                new Output(
                        kind,
                        id,
                        new double[iterations],
                        new double[iterations],
                        new double[iterations],
                        owners.length == 0 ? NO_MONEY : new double[iterations]),
                position,
                row,
                owners));
    }

    /** Keeps the values of a batch. */
    void add(BatchWorker worker, int first, int count) {
        for (Kept one : kept) {
            if (one.row() >= 0) {
                addBranch(one, worker.spans, first, count);
            } else {
                addActivity(one, worker, first, count);
            }
            for (int owner : one.owners()) {
                for (int k = 0; k < count; k++) {
                    one.output().cost()[first + k] += worker.money.owners[owner][k];
                }
            }
        }
    }

    private void addBranch(Kept one, BranchSpans spans, int first, int count) {
        double[] starts = spans.start[one.row()];
        double[] finishes = spans.finish[one.row()];
        for (int k = 0; k < count; k++) {
            double finish = pass.endInstant(finishes[k]);
            one.output().start()[first + k] = Math.min(finish, pass.spanStartInstant(starts[k]));
            one.output().finish()[first + k] = finish;
            one.output().duration()[first + k] = pass.projectWork(finishes[k]) - pass.projectWork(starts[k]);
        }
    }

    private void addActivity(Kept one, BatchWorker worker, int first, int count) {
        int i = one.position();
        for (int k = 0; k < count; k++) {
            one.output().start()[first + k] = pass.startInstant(i, worker.lanes.start[i][k]);
            one.output().finish()[first + k] = pass.finishInstant(i, worker.lanes.finish[i][k]);
            one.output().duration()[first + k] = worker.lanes.duration[i][k];
        }
    }

    /** First finishes of the watched activities in the project's working time, by which a run may be judged steady. */
    List<double[]> watchedFinishes(Network network, int count) {
        return kept.stream()
                .filter(one ->
                        one.position() >= 0 && network.activity(one.position()).watch())
                .map(one -> Arrays.stream(one.output().finish(), 0, count)
                        .map(network.projectTime()::work)
                        .toArray())
                .toList();
    }

    /** What was kept of the first {@code iterations}. */
    List<Output> result(int iterations) {
        return kept.stream()
                .map(Kept::output)
                .map(o -> new Output(
                        o.kind(),
                        o.id(),
                        Arrays.copyOf(o.start(), iterations),
                        Arrays.copyOf(o.finish(), iterations),
                        Arrays.copyOf(o.duration(), iterations),
                        Arrays.copyOf(o.cost(), iterations)))
                .toList();
    }
}
