package app.tychon.core.statistics;

import java.util.Arrays;

/**
 * Values in ascending order, with their ranks. Values are counted into as many buckets of equal width as there are
 * values; what shares a bucket is put in order there. O(n) where values spread over their range, O(n log n) at worst.
 */
public final class Ranking {
    /** More than so many in a bucket are sorted by halves rather than one by one. */
    private static final int FEW = 32;

    private final double[] values;
    private final int[] order;

    private Ranking(double[] values, int[] order) {
        this.values = values;
        this.order = order;
    }

    /** @param values finite numbers */
    public static Ranking of(double[] values) {
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (double value : values) {
            low = Math.min(low, value);
            high = Math.max(high, value);
        }
        int n = values.length;
        int[] order = new int[n];
        if (!(high > low)) {
            Arrays.setAll(order, i -> i);
            return new Ranking(values, order);
        }
        double perWidth = (n - 1) / (high - low);
        int[] bucket = new int[n];
        int[] end = new int[n + 1];
        for (int i = 0; i < n; i++) {
            bucket[i] = Math.min(n - 1, (int) ((values[i] - low) * perWidth));
            end[bucket[i] + 1]++;
        }
        for (int b = 0; b < n; b++) {
            end[b + 1] += end[b];
        }
        // What is now the beginning of each bucket becomes its end while it is filled.
        for (int i = 0; i < n; i++) {
            order[end[bucket[i]]++] = i;
        }
        Ranking ranking = new Ranking(values, order);
        int from = 0;
        for (int b = 0; b < n; b++) {
            ranking.sort(from, end[b]);
            from = end[b];
        }
        return ranking;
    }

    private void sort(int from, int to) {
        if (to - from > FEW && !isInOrder(from, to)) {
            sortMany(from, to);
            return;
        }
        for (int i = from + 1; i < to; i++) {
            int index = order[i];
            double value = values[index];
            int at = i;
            while (at > from && values[order[at - 1]] > value) {
                order[at] = order[at - 1];
                at--;
            }
            order[at] = index;
        }
    }

    private boolean isInOrder(int from, int to) {
        for (int i = from + 1; i < to; i++) {
            if (values[order[i - 1]] > values[order[i]]) {
                return false;
            }
        }
        return true;
    }

    private void sortMany(int from, int to) {
        Integer[] boxed = Arrays.stream(order, from, to).boxed().toArray(Integer[]::new);
        Arrays.sort(boxed, (a, b) -> Double.compare(values[a], values[b]));
        for (int i = from; i < to; i++) {
            order[i] = boxed[i - from];
        }
    }

    public int size() {
        return order.length;
    }

    /** Which value stands at a place of the ascending order, from 0; of equal values those that came first come first. */
    public int at(int place) {
        return order[place];
    }

    /** The place after the last of those that equal the value at a place. */
    public int endOfEqual(int place) {
        int end = place + 1;
        while (end < order.length && values[order[end]] == values[order[place]]) {
            end++;
        }
        return end;
    }

    /** The place of the first of those that equal the value at a place. */
    public int startOfEqual(int place) {
        int start = place;
        while (start > 0 && values[order[start - 1]] == values[order[place]]) {
            start--;
        }
        return start;
    }

    /** Ranks from 1 in the order of the values as they came, equal ones sharing the mean of theirs. */
    public double[] ranks() {
        double[] ranks = new double[order.length];
        int from = 0;
        while (from < order.length) {
            int to = endOfEqual(from);
            double rank = (from + 1 + to) / 2.0;
            for (int place = from; place < to; place++) {
                ranks[order[place]] = rank;
            }
            from = to;
        }
        return ranks;
    }
}
