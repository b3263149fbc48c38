package app.tychon.core.statistics;

import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import java.util.Arrays;

/**
 * Samples of instants. A date between two of them is an instant at which work can end: as far through the working time between
 * them as through the futures, or the earlier of them where nothing is worked between. So no percentile falls in a weekend
 * unless a future does.
 */
public final class DateSample {
    /** Bins of a histogram where no other number is wished. */
    public static final int USUAL_BINS = 60;

    private static final int[] BIN_DAYS = {1, 7, 14, 21, 28, 42, 56, 91, 182, 364};
    private static final double A_MONDAY = 4.0 * Instants.DAY;
    private static final double HOUR = 60;
    private static final double HALF_WEEK = 3.5 * Instants.DAY;

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

    /**
     * A smooth density of instants for drawing, on an even grid of the clock. It is estimated on working time, so that
     * the breaks of the week leave no ripples, and mapped back by working time averaged over a week around each instant,
     * so that it still holds all of the chance.
     *
     * @param points at least two
     */
    public static KernelDensity density(Sample instants, WorkingTime time, int points) {
        KernelDensity onWork = onWork(instants, time, points);
        if (onWork.step() == 0) {
            return KernelDensity.of(instants, points);
        }
        double low = instantOf(time, onWork.low());
        double high = instantOf(time, onWork.low() + onWork.step() * (onWork.density().length - 1));
        double step = (high - low) / (points - 1);
        double[] density = new double[points];
        for (int i = 0; i < points; i++) {
            double instant = low + i * step;
            double workPerMinute = (time.work(instant + HALF_WEEK) - time.work(instant - HALF_WEEK)) / (2 * HALF_WEEK);
            density[i] = onWork.at(smoothWork(time, instant)) * workPerMinute;
        }
        return new KernelDensity(low, step, density);
    }

    /** The instant where the density on working time is highest. */
    public static double mode(Sample instants, WorkingTime time, int points) {
        KernelDensity onWork = onWork(instants, time, points);
        double mode = onWork.step() == 0 ? instants.min() : time.finishInstant(onWork.mode());
        return Math.max(instants.min(), Math.min(instants.max(), mode));
    }

    private static KernelDensity onWork(Sample instants, WorkingTime time, int points) {
        return KernelDensity.of(
                Sample.of(Arrays.stream(instants.sorted()).map(time::work).toArray()), points);
    }

    /** Working minutes elapsed, averaged over the week around an instant. */
    private static double smoothWork(WorkingTime time, double instant) {
        double sum = 0;
        for (double at = HOUR / 2 - HALF_WEEK; at < HALF_WEEK; at += HOUR) {
            sum += time.work(instant + at);
        }
        return sum * HOUR / (2 * HALF_WEEK);
    }

    /** The instant of so much averaged work, to the minute, by bisection. */
    private static double instantOf(WorkingTime time, double work) {
        double low = time.startInstant(work) - 2 * HALF_WEEK;
        double high = time.finishInstant(work) + 2 * HALF_WEEK;
        while (high - low > 1) {
            double middle = (low + high) / 2;
            if (smoothWork(time, middle) < work) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return high;
    }

    private static double between(WorkingTime time, double lower, double upper, double part) {
        double from = time.work(lower);
        double to = time.work(upper);
        double instant = time.finishInstant(from + part * (to - from));
        return Math.max(lower, Math.min(upper, instant));
    }
}
