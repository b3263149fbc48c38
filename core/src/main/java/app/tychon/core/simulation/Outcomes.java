package app.tychon.core.simulation;

import app.tychon.core.simulation.engine.Batches;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.tally.Samples;
import java.util.Arrays;

/**
 * Finish and cost alone of a run, for comparing many variations of a plan: nothing is kept of activities. Arrays hold a
 * value an iteration; the values are those of {@link Simulation#run} with the same settings.
 *
 * @param finish instants in minutes
 * @param duration working minutes of the project calendar
 * @param cost money
 */
public record Outcomes(double[] finish, double[] duration, double[] cost) {

    /**
     * @throws java.util.concurrent.CancellationException when stopped before anything was done, or the thread is
     *     interrupted
     */
    public static Outcomes of(CompiledPlan plan, RunSettings settings, RunMonitor monitor) {
        Samples samples = new Samples(settings.iterations());
        int n = Batches.each(plan, settings, monitor, samples::add);
        return new Outcomes(
                Arrays.copyOf(samples.finish, n),
                Arrays.copyOf(samples.duration, n),
                samples.cost(plan, n).totals());
    }
}
