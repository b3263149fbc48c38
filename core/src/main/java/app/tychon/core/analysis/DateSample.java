package app.tychon.core.analysis;

import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;

/** Samples of instants. Between two of them one goes through working time, so that no percentile falls in a weekend. */
public final class DateSample {
    /** Bins of a histogram where no other number is wished. */
    public static final int USUAL_BINS = 60;

    private static final int[] BIN_DAYS = {1, 7, 14, 21, 28, 42, 56, 91, 182, 364};
    private static final double A_MONDAY = 4.0 * Instants.DAY;

    private DateSample() {}

    /** @param time the project's working time */
    public static Sample of(double[] instants, WorkingTime time) {
        return Sample.of(instants, (lower, upper, part) -> between(time, lower, upper, part));
    }

    /**
     * A histogram of instants in bins of whole days, or of whole weeks from Monday, so that every bin holds as much
     * working time as its neighbours; the narrowest that gives at most {@code most} bins.
     *
     * @param most 1 to {@value Histogram#MOST_BINS}
     */
    public static Histogram histogram(Sample instants, int most) {
        for (int days : BIN_DAYS) {
            double width = (double) days * Instants.DAY;
            // Where a day would be too wide for what was asked, one is the narrowest still.
            if ((instants.max() - instants.min()) / width < Math.max(1, most - 1)) {
                return Histogram.aligned(instants, A_MONDAY, width);
            }
        }
        return Histogram.of(instants, most);
    }

    private static double between(WorkingTime time, double lower, double upper, double part) {
        double from = time.work(lower);
        double to = time.work(upper);
        if (from == to) {
            return lower + part * (upper - lower);
        }
        double instant = time.finishInstant(from + part * (to - from));
        return Math.max(lower, Math.min(upper, instant));
    }
}
