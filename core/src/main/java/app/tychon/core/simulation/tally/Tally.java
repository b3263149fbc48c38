package app.tychon.core.simulation.tally;

import java.util.Arrays;

/**
 * The distribution of one quantity in fixed memory: counts in {@value #BINS} bins over the range a pilot has shown, half
 * as wide again at either side, so that a bin is at most 0.5 % of the range; what falls outside is kept as it is.
 * Counts do not depend on the order of adding, so tallies of several threads merge to the same result.
 */
public final class Tally {
    private static final int BINS = 400;
    private static final double LEAST_RANGE = 1e-3;

    private final double low;
    private final double width;
    private final double perWidth;
    /** Counts not yet in {@link #counts}: half the size, so that twice as many tallies stay in the processor's cache. */
    private char[] fresh = {};

    private int freshCount;
    private int[] counts = {};
    private double[] outside = new double[0];
    private int outsideCount;
    private double min = Double.POSITIVE_INFINITY;
    private double max = Double.NEGATIVE_INFINITY;

    private Tally(double low, double width) {
        this.low = low;
        this.width = width;
        perWidth = 1 / width;
    }

    /** An empty tally for quantities like the pilot's. */
    static Tally forPilot(double[] pilot, int count) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (int k = 0; k < count; k++) {
            least = Math.min(least, pilot[k]);
            most = Math.max(most, pilot[k]);
        }
        double range = Math.max(most - least, LEAST_RANGE);
        return new Tally(least - range / 2, 2 * range / BINS);
    }

    /** Another empty tally over the same bins. */
    Tally sibling() {
        return new Tally(low, width);
    }

    void add(double[] values, int count) {
        if (freshCount > Character.MAX_VALUE - count) {
            settle();
        }
        if (fresh.length == 0) {
            fresh = new char[BINS];
        }
        freshCount += count;
        double least = values[0];
        double most = values[0];
        for (int k = 1; k < count; k++) {
            double value = values[k];
            if (value < least) {
                least = value;
            }
            if (value > most) {
                most = value;
            }
        }
        min = Math.min(min, least);
        max = Math.max(max, most);
        boolean allInside = (least - low) * perWidth >= 0 && (most - low) * perWidth < BINS;
        for (int k = 0; allInside && k < count; k++) {
            fresh[(int) ((values[k] - low) * perWidth)]++;
        }
        for (int k = 0; !allInside && k < count; k++) {
            double at = (values[k] - low) * perWidth;
            if (at >= 0 && at < BINS) {
                fresh[(int) at]++;
            } else {
                addOutside(values[k]);
            }
        }
    }

    /** Moves what is fresh to the counts that cannot overflow. */
    private void settle() {
        makeRoom();
        for (int bin = 0; bin < fresh.length; bin++) {
            counts[bin] += fresh[bin];
        }
        Arrays.fill(fresh, (char) 0);
        freshCount = 0;
    }

    private void makeRoom() {
        if (counts.length == 0) {
            counts = new int[BINS];
        }
    }

    private void addOutside(double value) {
        if (outsideCount == outside.length) {
            outside = Arrays.copyOf(outside, Math.max(8, outside.length * 2));
        }
        outside[outsideCount++] = value;
    }

    void merge(Tally other) {
        settle();
        other.settle();
        for (int bin = 0; bin < BINS; bin++) {
            counts[bin] += other.counts[bin];
        }
        for (int i = 0; i < other.outsideCount; i++) {
            addOutside(other.outside[i]);
        }
        min = Math.min(min, other.min);
        max = Math.max(max, other.max);
    }

    /** Empties it, for the next block of the run. */
    void clear() {
        Arrays.fill(fresh, (char) 0);
        freshCount = 0;
        counts = new int[0];
        outside = new double[0];
        outsideCount = 0;
        min = Double.POSITIVE_INFINITY;
        max = Double.NEGATIVE_INFINITY;
    }

    /** What it has counted, of at most {@value Character#MAX_VALUE} values; most bins are empty or hold few. */
    void pack(Packer out) {
        int from = 0;
        int to = fresh.length;
        while (from < to && fresh[from] == 0) {
            from++;
        }
        while (to > from && fresh[to - 1] == 0) {
            to--;
        }
        out.real(min).real(max).whole(from).whole(to - from);
        for (int bin = from; bin < to; bin++) {
            out.whole(fresh[bin]);
        }
        out.whole(outsideCount).reals(outside, outsideCount);
    }

    /** Adds what another over the same bins has packed. */
    void merge(Unpacker in) {
        min = Math.min(min, in.real());
        max = Math.max(max, in.real());
        int from = in.below(BINS + 1);
        int to = from + in.below(BINS - from + 1);
        makeRoom();
        for (int bin = from; bin < to; bin++) {
            counts[bin] += in.whole();
        }
        for (int left = in.whole(); left > 0; left--) {
            addOutside(in.real());
        }
    }

    double min() {
        return min;
    }

    double max() {
        return max;
    }

    /** The percentiles 1 to 99, each within the width of a bin. */
    double[] percentiles() {
        settle();
        Arrays.sort(outside, 0, outsideCount);
        int total = outsideCount;
        for (int count : counts) {
            total += count;
        }
        double[] percentiles = new double[99];
        int bin = 0;
        int below = 0;
        while (below < outsideCount && outside[below] < low) {
            below++;
        }
        int under = below;
        int cumulated = below;
        for (int p = 1; p <= 99; p++) {
            double rank = p / 100.0 * (total - 1);
            while (bin < BINS && cumulated + counts[bin] <= rank) {
                cumulated += counts[bin++];
            }
            double value;
            if (rank < under) {
                value = outside[(int) rank];
            } else if (bin == BINS) {
                value = outside[Math.min(outsideCount - 1, under + (int) (rank - cumulated))];
            } else {
                value = low + width * (bin + (rank - cumulated + 0.5) / counts[bin]);
            }
            percentiles[p - 1] = Math.max(min, Math.min(max, value));
        }
        return percentiles;
    }
}
