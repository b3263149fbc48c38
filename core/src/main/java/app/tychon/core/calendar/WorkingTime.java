package app.tychon.core.calendar;

import java.util.Arrays;

/**
 * The two monotone functions of a calendar: working minutes elapsed up to an instant, and the instant at which so many
 * have elapsed. Instants are minutes as in {@link Instants}; working minutes count from an origin of the calendar's own.
 *
 * <p>Stretches of work between two Mondays are tabled; outside the table the ordinary week repeats for ever, so both
 * maps hold for any instant. Each costs a table look-up (O(1) for calendars whose shifts are of similar length, at most
 * O(log stretches)); no loop over days.
 */
public final class WorkingTime {
    private static final double WEEK = 7.0 * Instants.DAY;

    /** Rounding noise of sums of durations, in minutes, must not carry a finish at 17:00 over to the next morning. */
    private static final double NOISE = 1e-6;

    private static final double PER_DAY = 1.0 / Instants.DAY;
    /** So many that few buckets hold the end of a stretch, and the search in them has nothing to do. */
    private static final int BUCKETS_A_STRETCH = 8;
    /** More stretches than this in one bucket are searched by halves. */
    private static final int MANY = 16;

    private final double tableStart;
    private final double tableEnd;
    private final double[] from;
    private final double[] to;
    /** From working minutes in each stretch to instants. */
    private final double[] shift;
    /** Working minutes elapsed before each stretch; one more entry for the total. */
    private final double[] before;

    private final int[] firstOfDay;
    private final int[] firstOfBucket;
    private final double bucketsPerMinute;
    private final double total;
    /** The greatest working time within the table. */
    private final double last;

    private final double weekWork;

    WorkingTime(double tableStart, double tableEnd, double[] from, double[] to, double weekWork) {
        this.tableStart = tableStart;
        this.tableEnd = tableEnd;
        this.from = from;
        this.to = to;
        this.weekWork = weekWork;
        before = new double[from.length + 1];
        shift = new double[from.length];
        for (int i = 0; i < from.length; i++) {
            before[i + 1] = before[i] + (to[i] - from[i]);
            shift[i] = from[i] - before[i];
        }
        total = before[from.length];
        last = Math.nextDown(total);
        bucketsPerMinute = BUCKETS_A_STRETCH * from.length / total;
        firstOfDay = indexDays();
        firstOfBucket = indexWork();
    }

    private int[] indexDays() {
        int days = (int) Math.round((tableEnd - tableStart) / Instants.DAY);
        int[] first = new int[days + 1];
        int stretch = 0;
        for (int day = 0; day < days; day++) {
            double midnight = tableStart + (double) day * Instants.DAY;
            while (stretch < from.length && to[stretch] <= midnight) {
                stretch++;
            }
            first[day] = stretch;
        }
        first[days] = from.length;
        return first;
    }

    /** A bucket begins a little early, so that rounding never leads past a stretch. */
    private int[] indexWork() {
        int[] first = new int[BUCKETS_A_STRETCH * from.length + 2];
        int stretch = 0;
        for (int bucket = 0; bucket < first.length; bucket++) {
            while (stretch < from.length - 1 && before[stretch + 1] < bucket / bucketsPerMinute - NOISE) {
                stretch++;
            }
            first[bucket] = stretch;
        }
        return first;
    }

    /** Working minutes elapsed up to an instant. */
    public double work(double instant) {
        if (instant >= tableStart && instant < tableEnd) {
            return workInTable(instant);
        }
        double weeks = instant < tableStart
                ? -Math.ceil((tableStart - instant) / WEEK)
                : Math.floor((instant - tableEnd) / WEEK) + 1;
        return workInTable(instant - weeks * WEEK) + weeks * weekWork;
    }

    /** {@link #work} of the first {@code count} instants. */
    public void works(double[] instants, double[] out, int count) {
        for (int k = 0; k < count; k++) {
            out[k] = work(instants[k]);
        }
    }

    private double workInTable(double instant) {
        int day = Math.min((int) ((instant - tableStart) * PER_DAY), firstOfDay.length - 2);
        int stretch = firstOfDay[day];
        while (stretch < from.length && to[stretch] <= instant) {
            stretch++;
        }
        if (stretch == from.length) {
            return total;
        }
        return before[stretch] + Math.max(0, instant - from[stretch]);
    }

    /** The last instant at which no more than so much work has elapsed: where work that starts here starts, 08:00. */
    public double startInstant(double work) {
        double noisy = work + NOISE;
        if (noisy >= 0 && noisy < total) {
            return startInTable(work, noisy);
        }
        double weeks = weeksOutside(noisy);
        double inTable = work - weeks * weekWork;
        return weeks * WEEK + startInTable(inTable, clamped(inTable + NOISE));
    }

    private double startInTable(double work, double noisy) {
        int stretch = stretchAt(noisy);
        double instant = work + shift[stretch];
        return instant > from[stretch] ? instant : from[stretch];
    }

    /** {@link #startInstant} of the first {@code count} working times. */
    public void startInstants(double[] works, double[] out, int count) {
        for (int k = 0; k < count; k++) {
            out[k] = startInstant(works[k]);
        }
    }

    /** The first instant at which so much work has elapsed: where work that ends here ends, 17:00. */
    public double finishInstant(double work) {
        double noisy = work - NOISE;
        if (noisy >= 0 && noisy < total) {
            return finishInTable(work, noisy);
        }
        double weeks = weeksOutside(noisy);
        double inTable = work - weeks * weekWork;
        return weeks * WEEK + finishInTable(inTable, clamped(inTable - NOISE));
    }

    private double finishInTable(double work, double noisy) {
        int stretch = stretchAt(noisy);
        double instant = work + shift[stretch];
        return instant < to[stretch] ? instant : to[stretch];
    }

    /** {@link #finishInstant} of the first {@code count} working times. */
    public void finishInstants(double[] works, double[] out, int count) {
        for (int k = 0; k < count; k++) {
            out[k] = finishInstant(works[k]);
        }
    }

    /** Whole weeks by which working time lies before the table, below zero, or after it. */
    private double weeksOutside(double work) {
        return work < 0 ? -Math.ceil(-work / weekWork) : Math.floor((work - total) / weekWork) + 1;
    }

    private double clamped(double work) {
        return Math.max(0, Math.min(work, last));
    }

    /** The stretch with {@code before[s] <= work < before[s + 1]}. @param work within the table */
    private int stretchAt(double work) {
        int bucket = (int) (work * bucketsPerMinute);
        int stretch = firstOfBucket[bucket];
        if (firstOfBucket[bucket + 1] - stretch > MANY) {
            int found = Arrays.binarySearch(before, stretch, firstOfBucket[bucket + 1] + 1, work);
            stretch = found >= 0 ? found : -found - 2;
        }
        while (before[stretch + 1] <= work) {
            stretch++;
        }
        return stretch;
    }

    /** The instant reached by working so many minutes on from (or, below zero, back from) an instant. */
    public double plus(double instant, double minutes) {
        return minutes == 0 ? instant : finishInstant(work(instant) + minutes);
    }
}
