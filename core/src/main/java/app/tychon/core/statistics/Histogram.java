package app.tychon.core.statistics;

/**
 * Counts of values in bins of equal width over their range; a value on an inner edge belongs to the bin above it.
 *
 * @param low lower edge of the first bin
 * @param width of every bin
 */
public record Histogram(double low, double width, int[] counts) {
    public static final int MOST_BINS = 1000;

    /** Bins of a given width whose edges lie at whole multiples of it from an origin. */
    public static Histogram aligned(Sample sample, double origin, double width) {
        double low = origin + Math.floor((sample.min() - origin) / width) * width;
        int bins = (int) Math.floor((sample.max() - low) / width) + 1;
        if (bins > MOST_BINS) {
            throw new IllegalArgumentException(
                    "bins of " + width + " are too narrow for a range of " + (sample.max() - sample.min()));
        }
        int[] counts = new int[bins];
        for (double value : sample.sorted()) {
            counts[(int) Math.floor((value - low) / width)]++;
        }
        return new Histogram(low, width, counts);
    }

    /** @throws IllegalArgumentException for a number of bins out of 1 to {@value #MOST_BINS} */
    public static Histogram of(Sample sample, int bins) {
        if (bins < 1 || bins > MOST_BINS) {
            throw new IllegalArgumentException("a histogram has 1 to " + MOST_BINS + " bins, not " + bins);
        }
        double low = sample.min();
        double range = sample.max() - low;
        if (range == 0) {
            return new Histogram(low, 0, new int[] {sample.size()});
        }
        int[] counts = new int[bins];
        for (double value : sample.sorted()) {
            counts[Math.min(bins - 1, (int) ((value - low) / range * bins))]++;
        }
        return new Histogram(low, range / bins, counts);
    }
}
