package app.tychon.core.analysis;

import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.DoubleUnaryOperator;

/** What the futures beyond a threshold of an output share, that the others do not. */
public final class LateFutures {
    private static final double NORMAL_95 = 1.959964;

    private LateFutures() {}

    /**
     * How an input fell among the futures beyond the threshold and among the others.
     *
     * @param late       mean among those beyond it, in the input's unit; of a risk's occurrence, share in which it struck
     * @param others     the same among the others
     * @param difference late less others, in standard deviations of the input over all futures; 0 where it never varied
     * @param low        lower end of the 95 % interval of the difference
     * @param high       upper end; where both are of one sign, it is more than chance
     */
    public record Shared(Input input, double late, double others, double difference, double low, double high) {}

    /**
     * Draws every input again for every future. O(inputs × futures).
     *
     * @param output    values of a run with these settings, one a future
     * @param threshold futures above it are late; some must be and some not
     * @param monitor   is told of inputs done; may ask to stop
     * @return what differs most first
     * @throws IllegalArgumentException where no future, or every one, lies beyond the threshold
     * @throws CancellationException when stopped
     */
    public static List<Shared> of(
            CompiledPlan plan, RunSettings settings, double[] output, double threshold, RunMonitor monitor) {
        boolean[] late = new boolean[output.length];
        int count = 0;
        for (int i = 0; i < late.length; i++) {
            late[i] = output[i] > threshold;
            count += late[i] ? 1 : 0;
        }
        if (count == 0 || count == late.length) {
            throw new IllegalArgumentException(
                    (count == 0 ? "no future lies" : "every future lies") + " beyond the threshold");
        }
        int share = count;
        Inputs inputs = Inputs.of(plan);
        List<Input> all = inputs.all();
        AtomicInteger done = new AtomicInteger();
        return all.parallelStream()
                .map(input -> {
                    if (monitor.stopRequested()) {
                        throw new CancellationException("stopped before all inputs were looked at");
                    }
                    Shared shared = shared(input, inputs.sample(input, settings, late.length), late, share);
                    monitor.progress(done.incrementAndGet(), all.size());
                    return shared;
                })
                .sorted(Comparator.comparingDouble((Shared s) -> -Math.abs(s.difference()))
                        .thenComparing(s -> s.input().key().toString()))
                .toList();
    }

    private static Shared shared(Input input, double[] values, boolean[] late, int count) {
        // Of an occurrence it counts whether the risk struck, not how often.
        DoubleUnaryOperator read = input.kind() == Input.Kind.OCCURRENCE ? times -> times > 0 ? 1 : 0 : value -> value;
        double[] sums = new double[2];
        for (int i = 0; i < late.length; i++) {
            values[i] = read.applyAsDouble(values[i]);
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
            return new Shared(input, meanLate, meanRest, 0, 0, 0);
        }
        double difference = (meanLate - meanRest) / sd;
        double error = NORMAL_95 * Math.sqrt(squares[0] / count / count + squares[1] / rest / rest) / sd;
        return new Shared(input, meanLate, meanRest, difference, difference - error, difference + error);
    }
}
