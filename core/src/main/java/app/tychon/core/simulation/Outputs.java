package app.tychon.core.simulation;

import app.tychon.core.simulation.engine.Batches;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Output;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.tally.OutputSamples;

/** Values of a part of the project that a run has not kept, simulated for it. */
public final class Outputs {
    private Outputs() {}

    /**
     * The values of any activity or branch, or of {@link app.tychon.core.model.Plan#PROJECT}, simulated for it: the same that a run with these settings has kept.
     *
     * @param iterations how many of the run's
     * @throws IllegalArgumentException where the plan has no such activity, nor such a branch with activities
     * @throws java.util.concurrent.CancellationException when it is stopped before anything was done, or the thread is
     *     interrupted
     */
    public static Output of(CompiledPlan plan, RunSettings settings, int iterations, String id, RunMonitor monitor) {
        OutputSamples samples = OutputSamples.of(plan, iterations, id);
        RunSettings enough = new RunSettings(iterations, settings.seed(), settings.sampling(), settings.threads());
        return samples.result(Batches.each(plan, enough, monitor, samples::add)).get(0);
    }
}
