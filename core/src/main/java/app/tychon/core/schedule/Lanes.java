package app.tychon.core.schedule;

import java.util.Arrays;

/**
 * Working space for a pass over several iterations side by side: row by activity position, column by iteration.
 * {@code duration} goes in; {@code start} and {@code finish} come out, on the axis of the {@link ForwardPass}.
 */
public final class Lanes {
    public final int width;
    public final double[][] duration;
    public final double[][] start;
    public final double[][] finish;
    /** Latest finish of each lane. */
    public final double[] end;
    /** Position of the activity that finishes the project, or is the target, in each lane; filled by {@link CriticalTrace}. */
    public final int[] last;
    /** Whether the activity lies on a longest path in that lane; filled by {@link CriticalTrace}. */
    public final boolean[][] critical;

    /** Instants or coordinates at which finish links let go; working space of a pass. */
    final double[] finishNeeded;

    public Lanes(int activities, int width) {
        this.width = width;
        duration = new double[activities][width];
        start = new double[activities][width];
        finish = new double[activities][width];
        end = new double[width];
        last = new int[width];
        finishNeeded = new double[width];
        critical = new boolean[activities][width];
    }

    /** Forgets the ends of what was in the first {@code count} lanes. */
    public void begin(int count) {
        Arrays.fill(end, 0, count, Double.NEGATIVE_INFINITY);
    }
}
