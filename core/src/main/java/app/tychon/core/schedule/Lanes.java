package app.tychon.core.schedule;

import java.util.Arrays;

/**
 * Working space for a pass over several iterations side by side: row by activity position, column by iteration.
 * {@code duration} goes in; {@code start} and {@code finish} come out, instants.
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

    /** Finishes in the working time of each activity's calendar. */
    final double[][] finishWork;
    /** Of the activity that is placed: the working time from which it is worked, and what is to be worked. */
    final double[] work;

    final double[] remaining;
    /** Of the link that is looked at: when it lets go, in the successor's working time. */
    final double[] reached;

    public Lanes(int activities, int width) {
        this.width = width;
        duration = new double[activities][width];
        start = new double[activities][width];
        finish = new double[activities][width];
        end = new double[width];
        last = new int[width];
        finishWork = new double[activities][width];
        work = new double[width];
        remaining = new double[width];
        reached = new double[width];
        critical = new boolean[activities][width];
    }

    /** Copies an activity of another working space, lane {@code at[k]} of that to lane k of this. */
    public void take(int position, Lanes from, int[] at, int count) {
        gather(from.duration[position], at, count, duration[position]);
        gather(from.start[position], at, count, start[position]);
        gather(from.finish[position], at, count, finish[position]);
        gather(from.finishWork[position], at, count, finishWork[position]);
    }

    /** Whether an activity stands, in each lane k of this, as in lane {@code at[k]} of another. */
    public boolean equal(int position, Lanes other, int[] at, int count) {
        return equal(finish[position], other.finish[position], at, count)
                && equal(start[position], other.start[position], at, count)
                && equal(finishWork[position], other.finishWork[position], at, count)
                && equal(duration[position], other.duration[position], at, count);
    }

    /** Copies element {@code at[k]} of one row to element k of another. */
    public static void gather(double[] from, int[] at, int count, double[] to) {
        for (int k = 0; k < count; k++) {
            to[k] = from[at[k]];
        }
    }

    private static boolean equal(double[] row, double[] other, int[] at, int count) {
        for (int k = 0; k < count; k++) {
            if (row[k] != other[at[k]]) {
                return false;
            }
        }
        return true;
    }

    /** Forgets the ends of what was in the first {@code count} lanes. */
    public void begin(int count) {
        Arrays.fill(end, 0, count, Double.NEGATIVE_INFINITY);
    }
}
