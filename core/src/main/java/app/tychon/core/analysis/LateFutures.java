package app.tychon.core.analysis;

import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.settings.Grain;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.statistics.Ranking;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;

/** What some futures share that the others do not: those beyond a threshold, say, or those in which a path drove. */
public final class LateFutures {
    private static final double NORMAL_95 = 1.959964;

    private LateFutures() {}

    /**
     * How an input fell among some futures and among the others.
     *
     * @param late       mean among those, in the input's unit; of a risk, share in which it struck
     * @param others     the same among the others
     * @param difference those less others, in standard deviations of the input over all futures; 0 where it never varied
     * @param low        lower end of the 95 % interval of the difference
     * @param high       upper end; where both are of one sign, it is more than chance
     * @param cut        the value that tells the two apart best: where their cumulative shares differ most (the place of the
     *     Kolmogorov–Smirnov distance); 0 for a risk
     * @param lateBeyond share of those in which the input is above the cut
     * @param othersBeyond the same among the others
     */
    public record Shared(
            Input input,
            double late,
            double others,
            double difference,
            double low,
            double high,
            double cut,
            double lateBeyond,
            double othersBeyond) {
        /** Whether chance alone would seldom make such a difference. */
        public boolean isSure() {
            return low > 0 || high < 0;
        }
    }

    /**
     * Draws every input again for every future. O(inputs × futures × log futures).
     *
     * @param output    values of a run with these settings, one a future
     * @param threshold futures above it are late; some must be and some not
     * @param monitor   is told of inputs done; may ask to stop
     * @return what differs most first
     * @throws IllegalArgumentException where no future, or every one, lies beyond the threshold
     * @throws CancellationException when stopped
     */
    public static List<Shared> of(
            Inputs inputs, Grain grain, RunSettings settings, double[] output, double threshold, RunMonitor monitor) {
        boolean[] late = new boolean[output.length];
        for (int i = 0; i < late.length; i++) {
            late[i] = output[i] > threshold;
        }
        return of(inputs, grain, settings, late, monitor);
    }

    /** The same of any futures: those for which {@code some} holds beside the others. */
    public static List<Shared> of(
            Inputs inputs, Grain grain, RunSettings settings, boolean[] some, RunMonitor monitor) {
        int count = 0;
        for (boolean one : some) {
            count += one ? 1 : 0;
        }
        if (count == 0 || count == some.length) {
            throw new IllegalArgumentException(
                    (count == 0 ? "no future lies" : "every future lies") + " beyond the threshold");
        }
        int share = count;
        List<Input> all = inputs.all(grain);
        AtomicInteger done = new AtomicInteger();
        return all.parallelStream()
                .map(input -> {
                    if (monitor.stopRequested()) {
                        throw new CancellationException("stopped before all inputs were looked at");
                    }
                    Shared shared = shared(input, inputs.sample(input, settings, some.length), some, share);
                    monitor.progress(done.incrementAndGet(), all.size());
                    return shared;
                })
                .sorted(Comparator.comparingDouble((Shared s) -> -Math.abs(s.difference()))
                        .thenComparing(s -> s.input().key().toString()))
                .toList();
    }

    private static Shared shared(Input input, double[] values, boolean[] late, int count) {
        // Of a risk it counts whether it struck, not how often or how hard.
        boolean isRisk = input.kind() == Input.Kind.OCCURRENCE || input.kind() == Input.Kind.RISK;
        double[] sums = new double[2];
        for (int i = 0; i < late.length; i++) {
            values[i] = isRisk ? (values[i] != 0 ? 1 : 0) : values[i];
            sums[late[i] ? 0 : 1] += values[i];
        }
        int rest = late.length - count;
        double meanLate = sums[0] / count;
        double meanRest = sums[1] / rest;
        double mean = (sums[0] + sums[1]) / late.length;
        double[] squares = new double[2];
        double all = 0;
        for (int i = 0; i < late.length; i++) {
            double own = values[i] - (late[i] ? meanLate : meanRest);
            squares[late[i] ? 0 : 1] += own * own;
            all += (values[i] - mean) * (values[i] - mean);
        }
        double sd = Math.sqrt(all / late.length);
        if (sd == 0) {
            return new Shared(input, meanLate, meanRest, 0, 0, 0, meanLate, 0, 0);
        }
        double difference = (meanLate - meanRest) / sd;
        double error = NORMAL_95 * Math.sqrt(squares[0] / count / count + squares[1] / rest / rest) / sd;
        double[] cut = isRisk ? new double[] {0, meanLate, meanRest} : cut(values, late, count);
        return new Shared(
                input, meanLate, meanRest, difference, difference - error, difference + error, cut[0], cut[1], cut[2]);
    }

    /** Where the cumulative shares lie farthest apart, and what shares lie above it. */
    private static double[] cut(double[] values, boolean[] late, int count) {
        Ranking ranking = Ranking.of(values);
        int rest = late.length - count;
        int lateBelow = 0;
        int restBelow = 0;
        double widest = -1;
        double[] cut = new double[3];
        for (int place = 0; place < values.length; ) {
            int end = ranking.endOfEqual(place);
            double value = values[ranking.at(place)];
            for (; place < end; place++) {
                if (late[ranking.at(place)]) {
                    lateBelow++;
                } else {
                    restBelow++;
                }
            }
            double lateBeyond = 1 - (double) lateBelow / count;
            double restBeyond = 1 - (double) restBelow / rest;
            if (Math.abs(lateBeyond - restBeyond) > widest) {
                widest = Math.abs(lateBeyond - restBeyond);
                cut = new double[] {value, lateBeyond, restBeyond};
            }
        }
        return cut;
    }
}
