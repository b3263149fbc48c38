package app.tychon.core.simulation;

import app.tychon.core.model.Activity;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.WbsNode;
import app.tychon.core.schedule.ForwardPass;
import app.tychon.core.schedule.Lanes;
import app.tychon.core.schedule.Network;
import app.tychon.core.uncertainty.Distribution;
import app.tychon.core.uncertainty.Distributions;
import app.tychon.core.uncertainty.FixedDistribution;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The money of an iteration, apart by cause. A line of planned amount a, sampled amount A, variable share v and duration
 * ratio r (sampled by planned) costs A(1 − v) + A v r = a + (A − a) + A v (r − 1): planned, estimate spread at planned
 * durations, time-driven. Where nothing is planned to take time, r is 1.
 */
final class CostModel {
    /** What a line's duration is read from: one activity, or all beneath a branch, from first start to last finish. */
    private record Extent(int[] positions, boolean isSpan) {}

    private record Line(
            CostLine line,
            double amount,
            double variableShare,
            UncertainInput sampled,
            Extent extent,
            double plannedDuration) {}

    private final ForwardPass pass;
    private final List<Line> lines = new ArrayList<>();
    private final Map<String, List<Integer>> linesOn = new HashMap<>();
    private final double planned;

    private CostModel(Network network, ForwardPass pass) {
        this.pass = pass;
        Lanes plan = plannedLanes(network, pass);
        Map<String, int[]> branches = branches(network);
        double sum = 0;
        // Sorted, so that sums do not depend on the order of rows.
        List<CostLine> sorted = network.plan().costs().stream()
                .sorted(Comparator.comparing(CostLine::id))
                .toList();
        for (CostLine line : sorted) {
            Extent extent = branches.containsKey(line.on())
                    ? new Extent(branches.get(line.on()), true)
                    : new Extent(new int[] {network.position(line.on())}, false);
            double[] duration = new double[1];
            duration(extent, plan, 1, duration);
            lines.add(new Line(
                    line,
                    line.amount(),
                    1 - line.fixedShare(),
                    new UncertainInput(Stream.of(Stream.Role.COST, line.id()), distribution(line)),
                    extent,
                    duration[0]));
            linesOn.computeIfAbsent(line.on(), on -> new ArrayList<>()).add(lines.size() - 1);
            sum += line.amount();
        }
        planned = sum;
    }

    static CostModel of(Network network, ForwardPass pass) {
        return new CostModel(network, pass);
    }

    private static Distribution distribution(CostLine line) {
        return line.estimate()
                .map(e -> Distributions.of(e.shape(), e.basis() == Basis.FACTOR ? line.amount() : 1))
                .orElseGet(() -> FixedDistribution.of(line.amount()));
    }

    private static Lanes plannedLanes(Network network, ForwardPass pass) {
        Lanes lanes = new Lanes(network.size(), 1);
        for (int i = 0; i < network.size(); i++) {
            lanes.duration[i][0] = network.planned(i);
        }
        pass.run(lanes, 1);
        return lanes;
    }

    /** Positions of all activities beneath each branch, and of all there are under {@link CostLine#PROJECT}. */
    private static Map<String, int[]> branches(Network network) {
        Map<String, String> parents = new HashMap<>();
        for (WbsNode node : network.plan().wbs()) {
            node.parent().ifPresent(parent -> parents.put(node.id(), parent));
        }
        Map<String, List<Integer>> beneath = new HashMap<>();
        beneath.put(CostLine.PROJECT, new ArrayList<>());
        network.plan().wbs().forEach(node -> beneath.put(node.id(), new ArrayList<>()));
        for (int i = 0; i < network.size(); i++) {
            Activity activity = network.activity(i);
            for (String at = activity.wbs(); at != null; at = parents.get(at)) {
                beneath.get(at).add(i);
            }
            beneath.get(CostLine.PROJECT).add(i);
        }
        Map<String, int[]> branches = new HashMap<>();
        beneath.forEach((branch, list) ->
                branches.put(branch, list.stream().mapToInt(Integer::intValue).toArray()));
        return branches;
    }

    double planned() {
        return planned;
    }

    /** The lines whose amount is uncertain, by code. */
    List<Inputs.Input> uncertain() {
        List<Inputs.Input> inputs = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            CostLine line = lines.get(i).line();
            if (!lines.get(i).sampled().isCertain()) {
                inputs.add(new Inputs.Input(line.id(), line.name(), Inputs.Kind.COST, i));
            }
        }
        return inputs;
    }

    UncertainInput amount(int index) {
        return lines.get(index).sampled();
    }

    /** Fills estimate spread and time-driven money of the first {@code count} lanes, iterations from {@code first}. */
    void run(Draws draws, int first, int count, Lanes lanes, Space space, double[] spread, double[] timeDriven) {
        Arrays.fill(spread, 0, count, 0);
        Arrays.fill(timeDriven, 0, count, 0);
        for (int l = 0; l < lines.size(); l++) {
            Line line = lines.get(l);
            double sum = 0;
            line.sampled().sample(draws, first, count, space.amount, space.words);
            duration(line.extent(), lanes, count, space.duration);
            for (int k = 0; k < count; k++) {
                double ratio = line.plannedDuration() > 0 ? space.duration[k] / line.plannedDuration() : 1;
                spread[k] += space.amount[k] - line.amount();
                double driven = space.amount[k] * line.variableShare() * (ratio - 1);
                timeDriven[k] += driven;
                sum += space.amount[k] + driven;
            }
            space.lineSums[l] = sum;
        }
    }

    int size() {
        return lines.size();
    }

    /** Mean cost of the lines that stand on something, from the sums of all lines over {@code n} iterations. */
    double meanOf(String on, double[] lineSums, int n) {
        double sum = 0;
        for (int l : linesOn.getOrDefault(on, List.of())) {
            sum += lineSums[l] / n;
        }
        return sum;
    }

    /** Working space of one worker. */
    static final class Space {
        /** Total of each line over the lanes run last. */
        final double[] lineSums;

        final double[] amount;
        final double[] duration;
        final int[] words = new int[4];

        Space(int width, int lines) {
            lineSums = new double[lines];
            amount = new double[width];
            duration = new double[width];
        }
    }

    /** Working minutes of one activity, or of the project calendar from first start to last finish of several. */
    private void duration(Extent extent, Lanes lanes, int count, double[] out) {
        int[] positions = extent.positions();
        if (!extent.isSpan()) {
            System.arraycopy(lanes.duration[positions[0]], 0, out, 0, count);
            return;
        }
        for (int k = 0; k < count; k++) {
            double start = Double.POSITIVE_INFINITY;
            double finish = Double.NEGATIVE_INFINITY;
            for (int i : positions) {
                start = Math.min(start, lanes.start[i][k]);
                finish = Math.max(finish, lanes.finish[i][k]);
            }
            out[k] = positions.length == 0 ? 0 : pass.projectWork(finish) - pass.projectWork(start);
        }
    }
}
