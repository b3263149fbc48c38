package app.tychon.core.analysis;

import app.tychon.core.analysis.Effect.Moved;
import app.tychon.core.statistics.Sample;
import app.tychon.core.uncertainty.BinomialProportion;
import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * How far a percentile moves between two samples of the same futures, and how well that is known. The futures are cut into
 * ten sections of equal size, each of which gives the change on its own; their spread, by Student's t, is the interval of
 * the change (sectioning; Asmussen, Glynn, "Stochastic Simulation", 2007, III.5).
 *
 * <p>Where the percentile moves in few sections or in none, their spread says nothing. If at most a share s of all futures
 * differ, a percentile of level p moves no farther than to the levels p − s and p + s. That is the error then, with the share
 * of those that differ in the sample at its upper 95 % bound: three in n where none does.
 */
public final class Sections {
    private static final int COUNT = 10;
    /** Of Student's t with nine degrees of freedom, both sides together 5 %. */
    private static final double QUANTILE = 2.262157;
    /** Fewer futures to a section say nothing of a percentile. */
    private static final int LEAST = 20;

    /** In fewer sections than this, chance decided whether the percentile moved. */
    private static final int ENOUGH = COUNT / 2;

    private final double level;
    private final double[] own;
    private final Sample sample;
    private final double whole;
    private final double[] parts;
    private final int size;

    /** @param own the values of the plan itself, one a future */
    Sections(double[] own, double level) {
        this.level = level;
        this.own = own;
        size = own.length / COUNT;
        sample = Sample.of(own);
        whole = sample.percentile(level);
        parts = percentiles(own);
    }

    /**
     * How far a percentile lies from one sample to the other of the same futures.
     *
     * @param level 0 to 1
     */
    public static Moved moved(double[] from, double[] to, double level) {
        return new Sections(from, level).moved(to);
    }

    private double[] percentiles(double[] values) {
        double[] percentiles = new double[size < LEAST ? 0 : COUNT];
        for (int s = 0; s < percentiles.length; s++) {
            percentiles[s] = Sample.of(Arrays.copyOfRange(values, s * size, (s + 1) * size))
                    .percentile(level);
        }
        return percentiles;
    }

    /** The error is not known, NaN, from fewer than 200 futures. */
    Moved moved(double[] values) {
        double value = Sample.of(values).percentile(level);
        double[] others = percentiles(values);
        double[] changes = new double[others.length];
        for (int s = 0; s < changes.length; s++) {
            changes[s] = others[s] - parts[s];
        }
        double error =
                changes.length == 0 ? Double.NaN : QUANTILE * Sample.of(changes).standardDeviation() / Math.sqrt(COUNT);
        if (changes.length > 0 && Arrays.stream(changes).filter(change -> change != 0).count() < ENOUGH) {
            error = Math.max(error, farthest(values));
        }
        return new Moved(value, value - whole, error);
    }

    /** How far the percentile can move if no more futures differ than the sample allows. */
    private double farthest(double[] values) {
        int differing = (int) IntStream.range(0, own.length)
                .filter(i -> values[i] != own[i])
                .count();
        double share = BinomialProportion.upper(differing, own.length);
        double up = sample.percentile(Math.min(1, level + share)) - whole;
        double down = whole - sample.percentile(Math.max(0, level - share));
        return Math.max(up, down);
    }
}
