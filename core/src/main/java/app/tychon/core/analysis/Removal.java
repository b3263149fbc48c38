package app.tychon.core.analysis;

import app.tychon.core.simulation.Outcomes;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.statistics.Sample;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.function.Consumer;
import java.util.function.Function;

/**
 * What a percentile of an output would be without one input: held at its planned value, a risk switched off, with the
 * same random numbers. A simulation an input.
 *
 * @param value  the percentile with the input removed, in the output's unit
 * @param effect the percentile with everything, less that value
 */
public record Removal(Input input, double value, double effect) {

    /**
     * Removes inputs one after the other.
     *
     * @param output      which of the outcomes is asked for
     * @param level       of the percentile, 0 to 1
     * @param asTheyCome  is told of each answer
     * @param monitor     may ask to stop; then the answers had by then are the result
     */
    public static List<Removal> of(
            CompiledPlan plan,
            RunSettings settings,
            List<Input> inputs,
            Function<Outcomes, double[]> output,
            double level,
            RunMonitor monitor,
            Consumer<Removal> asTheyCome) {
        List<Removal> removals = new ArrayList<>();
        try {
            double whole = percentile(plan, settings, output, level, monitor);
            for (Input input : inputs) {
                if (monitor.stopRequested()) {
                    break;
                }
                CompiledPlan without = plan.with(plan.variation().holding(input.key()));
                double value = percentile(without, settings, output, level, monitor);
                if (monitor.stopRequested()) {
                    // It may rest on fewer iterations than the others.
                    break;
                }
                Removal removal = new Removal(input, value, whole - value);
                removals.add(removal);
                asTheyCome.accept(removal);
                monitor.progress(removals.size(), inputs.size());
            }
        } catch (CancellationException e) {
            return removals;
        }
        return removals;
    }

    private static double percentile(
            CompiledPlan plan,
            RunSettings settings,
            Function<Outcomes, double[]> output,
            double level,
            RunMonitor monitor) {
        RunMonitor quiet = new RunMonitor() {
            @Override
            public boolean stopRequested() {
                return monitor.stopRequested();
            }
        };
        return Sample.of(output.apply(Outcomes.of(plan, settings, quiet))).percentile(level);
    }
}
