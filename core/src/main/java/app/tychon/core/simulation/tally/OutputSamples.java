package app.tychon.core.simulation.tally;

import app.tychon.core.model.Activity;
import app.tychon.core.model.WbsNode;
import app.tychon.core.schedule.BranchSpans;
import app.tychon.core.schedule.Frame;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.engine.BatchWorker;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Output;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Keeps all values of watched activities, milestones and branches, as far as there is room. */
public final class OutputSamples {
    /** Numbers that milestones and branches may take, four an iteration each; what is watched is always kept. */
    public static final int MOST_VALUES = 16_000_000;

    private static final int EACH = 4;
    private static final double[] NO_MONEY = {};

    /** @param owners rows of the money that is its own or lies beneath it */
    private record Kept(Output output, int position, int row, int[] owners) {}

    private final CompiledPlan plan;
    private final Network network;
    private final BranchSpans rows;
    /** Rows of the money that stands on a branch or anything beneath it. */
    private final Map<String, List<Integer>> money = new HashMap<>();

    private final List<Kept> kept = new ArrayList<>();

    private OutputSamples(CompiledPlan plan) {
        this.plan = plan;
        network = plan.network();
        rows = new BranchSpans(network, 1);
        plan.costs().owners().forEach((owner, row) -> {
            String branch = network.branches().isBranch(owner)
                    ? owner
                    : network.activity(network.position(owner)).wbs();
            for (String above : network.branches().chain(branch)) {
                money.computeIfAbsent(above, id -> new ArrayList<>()).add(row);
            }
        });
    }

    /** For a run: what is watched, then milestones, then branches from the top. */
    public static OutputSamples of(CompiledPlan plan, int iterations) {
        return of(plan, iterations, iterations);
    }

    /** What is kept of a run of so many iterations, with room for the values of a part of it. */
    static OutputSamples of(CompiledPlan plan, int iterations, int part) {
        Network network = plan.network();
        List<Activity> milestones = network.plan().activities().stream()
                .filter(activity -> activity.isMilestone() && !activity.watch())
                .toList();
        List<String> branches = network.plan().wbs().stream()
                .map(WbsNode::id)
                .filter(id -> network.branches().beneath(id).length > 0)
                .sorted(Comparator.comparingInt(
                        id -> network.branches().chain(id).size()))
                .toList();
        long room = MOST_VALUES / ((long) EACH * iterations);
        Set<String> chosen = Stream.concat(milestones.stream().map(Activity::id), branches.stream())
                .limit(room)
                .collect(Collectors.toSet());
        OutputSamples samples = new OutputSamples(plan);
        network.plan().wbs().stream()
                .filter(branch -> chosen.contains(branch.id()))
                .forEach(branch -> samples.keepBranch(branch.id(), part));
        network.plan().activities().stream()
                .filter(activity -> activity.watch() || chosen.contains(activity.id()))
                .forEach(activity -> samples.keepActivity(activity.id(), part));
        return samples;
    }

    /**
     * For one activity, one branch or the whole project alone.
     *
     * @throws IllegalArgumentException where there is no such activity, nor such a branch with activities
     */
    public static OutputSamples of(CompiledPlan plan, int iterations, String id) {
        OutputSamples samples = new OutputSamples(plan);
        Network network = plan.network();
        if (network.plan().activities().stream().anyMatch(a -> a.id().equals(id))) {
            samples.keepActivity(id, iterations);
        } else if (network.branches().isBranch(id) && network.branches().beneath(id).length > 0) {
            samples.keepBranch(id, iterations);
        } else {
            throw new IllegalArgumentException("there is no activity, nor a branch with activities, \"" + id + "\"");
        }
        return samples;
    }

    private void keepBranch(String id, int iterations) {
        int[] beneath = money.getOrDefault(id, List.of()).stream()
                .mapToInt(Integer::intValue)
                .toArray();
        keep(Output.Kind.BRANCH, id, -1, rows.row(id), beneath, iterations);
    }

    private void keepActivity(String id, int iterations) {
        Integer own = plan.costs().owners().get(id);
        int[] owners = own == null ? new int[0] : new int[] {own};
        keep(Output.Kind.ACTIVITY, id, network.position(id), -1, owners, iterations);
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
    public void add(BatchWorker worker, int first, int count) {
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

    /** Empties it, for the next part of the run. */
    void clear() {
        kept.forEach(one -> Arrays.fill(one.output().cost(), 0));
    }

    void pack(Packer out, int count) {
        for (Kept one : kept) {
            for (double[] values : values(one)) {
                out.reals(values, Math.min(values.length, count));
            }
        }
    }

    void merge(Unpacker in, int first, int count) {
        for (Kept one : kept) {
            for (double[] values : values(one)) {
                in.reals(values, Math.min(values.length, first), Math.min(values.length, count));
            }
        }
    }

    private static double[][] values(Kept one) {
        Output output = one.output();
        return new double[][] {output.start(), output.finish(), output.duration(), output.cost()};
    }

    private void addBranch(Kept one, BranchSpans spans, int first, int count) {
        double[] starts = spans.start[one.row()];
        double[] finishes = spans.finish[one.row()];
        Frame frame = network.frame(one.output().id());
        for (int k = 0; k < count; k++) {
            one.output().start()[first + k] = starts[k];
            one.output().finish()[first + k] = finishes[k];
            one.output().duration()[first + k] = frame.work(finishes[k]) - frame.work(starts[k]);
        }
    }

    private void addActivity(Kept one, BatchWorker worker, int first, int count) {
        int i = one.position();
        boolean isMilestone = network.activity(i).isMilestone();
        for (int k = 0; k < count; k++) {
            one.output().start()[first + k] = worker.lanes.start[i][k];
            one.output().finish()[first + k] = worker.lanes.finish[i][k];
            one.output().duration()[first + k] = isMilestone ? 0 : worker.lanes.duration[i][k];
        }
    }

    /** First finishes of the watched activities in the project's working time, by which a run may be judged steady. */
    public List<double[]> watchedFinishes(int count) {
        return kept.stream()
                .filter(one ->
                        one.position() >= 0 && network.activity(one.position()).watch())
                .map(one -> Arrays.stream(one.output().finish(), 0, count)
                        .map(network.frame(one.output().id()).time()::work)
                        .toArray())
                .toList();
    }

    /** What was kept of the first {@code iterations}. */
    public List<Output> result(int iterations) {
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
