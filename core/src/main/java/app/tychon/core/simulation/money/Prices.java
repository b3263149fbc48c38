package app.tychon.core.simulation.money;

import app.tychon.core.calendar.WorkingTime;
import java.util.Arrays;
import org.hipparchus.util.FastMath;

/**
 * What becomes of the price of an item as time passes: a yearly rate by which it rises from the project's start on, and rates
 * of a resource that hold from a day on. The level of what falls due at an instant t is (1 + e)^((t − base) / year) times the
 * rate that holds then; of what falls due evenly it is the mean of the first over the clock time from start to finish, times
 * the mean of the second over the working time.
 *
 * @param rate    row of the yearly rate among those of the model, -1 where prices do not rise
 * @param base    instant from which they rise
 * @param from    instants from which other rates of a resource hold, ascending
 * @param factors the rate before the first of them, and from each on, in parts of that in which the amount is planned
 * @param time    in which work counts
 */
public record Prices(int rate, double base, double[] from, double[] factors, WorkingTime time) {
    private static final double YEAR = 365.25 * 24 * 60;
    private static final double[] NEVER = {};
    private static final double[] ONE = {1};
    /** A year's growth below which a mean over a stretch of time is that of its middle, to the last bits. */
    private static final double LEAST = 1e-9;

    /** Prices as they are. */
    static Prices constant(double base, WorkingTime time) {
        return new Prices(-1, base, NEVER, ONE, time);
    }

    Prices rising(int row) {
        return new Prices(row, base, from, factors, time);
    }

    Prices stepping(double[] instants, double[] levels) {
        return new Prices(rate, base, instants, levels, time);
    }

    public boolean areConstant() {
        return rate < 0 && from.length == 0;
    }

    /** The level of what falls due from one instant to another. @param yearly by how much prices rise, 0.04 for four percent */
    double level(double start, double finish, double yearly) {
        return grown(start, finish, yearly) * stepped(start, finish);
    }

    private double grown(double start, double finish, double yearly) {
        if (yearly == 0) {
            return 1;
        }
        double growth = FastMath.log1p(yearly) / YEAR;
        double atStart = FastMath.exp(growth * (start - base));
        double over = growth * (finish - start);
        return Math.abs(over) < LEAST ? atStart * (1 + over / 2) : atStart * FastMath.expm1(over) / over;
    }

    private double stepped(double start, double finish) {
        if (from.length == 0) {
            return factors[0];
        }
        double begin = time.work(start);
        double all = time.work(finish) - begin;
        if (!(all > 0)) {
            int next = Arrays.binarySearch(from, finish);
            return factors[next >= 0 ? next + 1 : -next - 1];
        }
        double sum = 0;
        double since = begin;
        for (int s = 0; s <= from.length; s++) {
            double until = s == from.length ? begin + all : Math.min(begin + all, time.work(from[s]));
            if (until > since) {
                sum += factors[s] * (until - since);
                since = until;
            }
        }
        return sum / all;
    }
}
