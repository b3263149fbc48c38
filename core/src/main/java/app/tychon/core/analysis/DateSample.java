package app.tychon.core.analysis;

import app.tychon.core.calendar.WorkingTime;

/** Samples of instants. Between two of them one goes through working time, so that no percentile falls in a weekend. */
public final class DateSample {
    private DateSample() {}

    /** @param time the project's working time */
    public static Sample of(double[] instants, WorkingTime time) {
        return Sample.of(instants, (lower, upper, part) -> between(time, lower, upper, part));
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
