package app.tychon.core.schedule;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * First start and last finish of every branch in the lanes of a batch, instants; one thread's own. A hammock
 * does not widen its branch; it counts only in branches that hold nothing else.
 */
public final class BranchSpans {
    private final List<String> names;
    private final Map<String, Integer> rows = new HashMap<>();
    private final int[] above;
    private final int[] rowOf;
    private final boolean[] isHammock;
    /** Whether a branch holds anything but hammocks. */
    private final boolean[] holdsWork;

    public final double[][] start;
    public final double[][] finish;

    public BranchSpans(Network network, int width) {
        Branches branches = network.branches();
        names = branches.deepestFirst();
        for (int row = 0; row < names.size(); row++) {
            rows.put(names.get(row), row);
        }
        above = names.stream()
                .mapToInt(name -> branches.above(name).map(rows::get).orElse(-1))
                .toArray();
        rowOf = new int[network.size()];
        isHammock = new boolean[network.size()];
        for (int i = 0; i < rowOf.length; i++) {
            rowOf[i] = rows.get(network.activity(i).wbs());
            isHammock[i] = network.isHammock(i);
        }
        holdsWork = new boolean[names.size()];
        for (int row = 0; row < holdsWork.length; row++) {
            holdsWork[row] = Arrays.stream(branches.beneath(names.get(row))).anyMatch(i -> !isHammock[i]);
        }
        start = new double[names.size()][width];
        finish = new double[names.size()][width];
    }

    public int row(String branch) {
        return rows.get(branch);
    }

    /** Positions whose dates make those of a branch, in topological order. */
    public int[] contributors(int row) {
        return IntStream.range(0, rowOf.length)
                .filter(i -> !isHammock[i] || !holdsWork[rowOf[i]])
                .filter(i -> reaches(rowOf[i], row))
                .toArray();
    }

    private boolean reaches(int from, int row) {
        int at = from;
        while (at != row && at >= 0) {
            at = above[at] >= 0 && (holdsWork[at] || !holdsWork[above[at]]) ? above[at] : -1;
        }
        return at == row;
    }

    public void begin(int count) {
        for (int row = 0; row < start.length; row++) {
            Arrays.fill(start[row], 0, count, Double.POSITIVE_INFINITY);
            Arrays.fill(finish[row], 0, count, Double.NEGATIVE_INFINITY);
        }
    }

    /** Takes in an activity that has been placed. */
    public void add(int position, Lanes lanes, int count) {
        if (!isHammock[position] || !holdsWork[rowOf[position]]) {
            widen(rowOf[position], lanes.start[position], lanes.finish[position], count);
        }
    }

    /** Takes the branches in by those above them. */
    public void rollUp(int count) {
        for (int row = 0; row < above.length; row++) {
            if (above[row] >= 0 && (holdsWork[row] || !holdsWork[above[row]])) {
                widen(above[row], start[row], finish[row], count);
            }
        }
    }

    private void widen(int row, double[] starts, double[] finishes, int count) {
        double[] first = start[row];
        double[] last = finish[row];
        for (int k = 0; k < count; k++) {
            first[k] = Math.min(first[k], starts[k]);
            last[k] = Math.max(last[k], finishes[k]);
        }
    }
}
