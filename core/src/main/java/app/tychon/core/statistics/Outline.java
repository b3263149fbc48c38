package app.tychon.core.statistics;

/**
 * The rough shape of a sample in a few points, to be drawn small: a histogram between its outermost percentiles, smoothed with
 * its neighbours by 1:2:1. O(n).
 *
 * @param low     value at the first point
 * @param high    value at the last
 * @param heights 0 to 100, evenly from low to high; none where nothing varies
 */
public record Outline(double low, double high, int[] heights) {
    private static final double OUTER = 0.002;
    private static final int TALLEST = 100;

    public static Outline of(Sample sample, int points) {
        double low = sample.percentile(OUTER);
        double high = sample.percentile(1 - OUTER);
        if (!(high > low)) {
            return new Outline(low, high, new int[0]);
        }
        double[] counts = new double[points];
        for (double value : sample.sorted()) {
            int bin = (int) Math.floor((value - low) / (high - low) * points);
            if (bin >= 0 && bin < points) {
                counts[bin]++;
            }
        }
        double[] smooth = new double[points];
        double most = 0;
        for (int i = 0; i < points; i++) {
            double left = i > 0 ? counts[i - 1] : 0;
            double right = i < points - 1 ? counts[i + 1] : 0;
            smooth[i] = (left + 2 * counts[i] + right) / 4;
            most = Math.max(most, smooth[i]);
        }
        int[] heights = new int[points];
        for (int i = 0; i < points; i++) {
            heights[i] = (int) Math.round(TALLEST * smooth[i] / most);
        }
        return new Outline(low, high, heights);
    }
}
