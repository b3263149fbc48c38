package app.tychon.core.analysis;

import app.tychon.core.analysis.Effect.Moved;
import app.tychon.core.statistics.Sample;
import app.tychon.core.uncertainty.BinomialProportion;
import java.util.Arrays;

/**
 * How far a percentile moves between two samples of the same futures, and how well that is known. The futures are cut into
 * ten sections of equal size, each of which gives the change on its own; their spread, by Student's t, is the interval of
 * the change (sectioning; Asmussen, Glynn, "Stochastic Simulation", 2007, III.5).
 *
 * <p>Where the percentile moves in few sections or in none, their spread says nothing. If no more than a share s of all futures
 * pass the percentile of level p, either way, it lies between the levels p − s and p + s of the other sample. That is the error
 * then, with the share of those that pass it in the sample at its upper 95 % bound: three in n where none does.
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
    private final double whole;
    private final double[] parts;
    private final int size;

    /** @param own the values of the plan itself, one a future */
    Sections(double[] own, double level) {
        this.level = level;
        this.own = own;
        size = own.length / COUNT;
        whole = Sample.of(own).percentile(level);
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
        Sample sample = Sample.of(values);
        double value = sample.percentile(level);
        double[] others = percentiles(values);
        double[] changes = new double[others.length];
        for (int s = 0; s < changes.length; s++) {
            changes[s] = others[s] - parts[s];
        }
        double error =
                changes.length == 0 ? Double.NaN : QUANTILE * Sample.of(changes).standardDeviation() / Math.sqrt(COUNT);
        if (changes.length > 0
                && Arrays.stream(changes).filter(change -> change != 0).count() < ENOUGH) {
            error = Math.max(error, farthest(values, sample));
        }
        return new Moved(value, value - whole, error);
    }

    /** How far the percentile can lie from where it was if no more futures pass it than the sample allows. */
    private double farthest(double[] values, Sample other) {
        int later = 0;
        int earlier = 0;
        for (int i = 0; i < own.length; i++) {
            later += own[i] <= whole && values[i] > whole ? 1 : 0;
            earlier += own[i] > whole && values[i] <= whole ? 1 : 0;
        }
        double share = BinomialProportion.upper(Math.max(later, earlier), own.length);
        double there = other.percentile(level);
        double up = other.percentile(Math.min(1, level + share)) - there;
        double down = there - other.percentile(Math.max(0, level - share));
        return Math.max(up, down);
    }
}
