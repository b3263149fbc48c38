package app.tychon.core.analysis;

import app.tychon.core.model.HybridPlan;
import app.tychon.core.model.HybridPlan.Kind;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.statistics.DateSample;
import app.tychon.core.statistics.Sample;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CancellationException;

/**
 * From a percentile of one version of a plan to that of a later one, a kind of change after the other, all with the same
 * random numbers, keyed by identity. Steps add up exactly: each begins where the one before ended, and the last ends at the
 * later plan itself.
 */
public final class PlanChange {
    /**
     * Where the percentile stands once a kind of change has come in.
     *
     * @param kind     empty for the earlier plan, before any change
     * @param finish   instant, minutes
     * @param duration working minutes of the project calendar as it then is
     * @param cost     money
     */
    public record Step(Optional<Kind> kind, double finish, double duration, double cost) {}

    private PlanChange() {}

    /**
     * @param level   of the percentile, 0 to 1
     * @param monitor is told of steps done; may ask to stop
     * @return the earlier plan, then a step for each kind of change in the order of {@link Kind}
     * @throws app.tychon.core.model.InvalidPlanException where either plan, or what lies between, cannot be calculated
     * @throws CancellationException when stopped
     */
    public static List<Step> of(Plan earlier, Plan later, RunSettings settings, double level, RunMonitor monitor) {
        List<Step> steps = new ArrayList<>();
        Set<Kind> changed = EnumSet.noneOf(Kind.class);
        steps.add(step(Optional.empty(), earlier, settings, level, monitor.quiet()));
        for (Kind kind : Kind.values()) {
            changed.add(kind);
            Plan hybrid = changed.size() == Kind.values().length ? later : HybridPlan.of(earlier, later, changed);
            steps.add(step(Optional.of(kind), hybrid, settings, level, monitor.quiet()));
            monitor.progress(steps.size(), Kind.values().length + 1);
        }
        return steps;
    }

    private static Step step(Optional<Kind> kind, Plan plan, RunSettings settings, double level, RunMonitor monitor) {
        CompiledPlan compiled = CompiledPlan.of(plan);
        Outcomes outcomes = Simulation.outcomes(compiled, settings, monitor);
        if (monitor.stopRequested()) {
            throw new CancellationException("stopped before all steps were simulated");
        }
        return new Step(
                kind,
                DateSample.of(outcomes.finish(), compiled.network().projectTime())
                        .percentile(level),
                Sample.of(outcomes.duration()).percentile(level),
                Sample.of(outcomes.cost()).percentile(level));
    }
}
