package app.tychon.core.analysis;

import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.result.RunResult.CostSamples;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import app.tychon.core.statistics.Sample;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CancellationException;

/**
 * From the plan to what is to be expected at a percentile, one cause added after the other, all with the same random
 * numbers.
 */
public final class Staircase {
    /** What a step adds to the one before. */
    public enum Cause {
        PLAN,
        /** The spread of all estimates, each by itself, and what logic makes of it. */
        ESTIMATES,
        CORRELATION,
        RISKS,
        RESPONSES
    }

    /**
     * Where a step stands.
     *
     * @param finish instant, minutes
     * @param duration working minutes of the project calendar
     * @param cost money
     */
    public record Step(Cause cause, double finish, double duration, double cost) {}

    private Staircase() {}

    /**
     * @param level   of the percentile, 0 to 1
     * @param monitor may ask to stop
     * @throws CancellationException when it does
     */
    public static List<Step> of(CompiledPlan plan, RunSettings settings, double level, RunMonitor monitor) {
        Variation estimates = Variation.CERTAIN.withEstimates();
        Variation correlated = estimates.withCorrelations(true);
        List<Variation> variations = List.of(
                Variation.CERTAIN,
                estimates,
                correlated,
                correlated.withRisks(RiskSetting.CURRENT),
                correlated.withRisks(RiskSetting.AFTER_RESPONSE));
        List<Step> steps = new ArrayList<>();
        for (Cause cause : Cause.values()) {
            Outcomes outcomes =
                    Simulation.outcomes(plan.with(variations.get(cause.ordinal())), settings, monitor.quiet());
            if (monitor.stopRequested()) {
                throw new CancellationException("stopped before all steps were simulated");
            }
            steps.add(new Step(
                    cause,
                    Sample.of(outcomes.finish()).percentile(level),
                    Sample.of(outcomes.duration()).percentile(level),
                    Sample.of(outcomes.cost()).percentile(level)));
            monitor.progress(steps.size(), Cause.values().length);
        }
        return steps;
    }

    /** What a step of the cost's own staircase adds. */
    public enum CostCause {
        PLANNED,
        ESTIMATE_SPREAD,
        TIME_DRIVEN,
        RISK,
        ACTIONS
    }

    /** Where a step of the cost's own staircase stands, in money. */
    public record CostStep(CostCause cause, double cost) {}

    /** The cost's own staircase, from one run: the percentile of the parts added up so far. The last is the total's. */
    public static List<CostStep> ofCost(CostSamples cost, double level) {
        double[] sum = new double[cost.spread().length];
        List<CostStep> steps = new ArrayList<>();
        Arrays.fill(sum, cost.planned());
        steps.add(new CostStep(CostCause.PLANNED, cost.planned()));
        steps.add(step(CostCause.ESTIMATE_SPREAD, sum, cost.spread(), level));
        steps.add(step(CostCause.TIME_DRIVEN, sum, cost.timeDriven(), level));
        steps.add(step(CostCause.RISK, sum, cost.risk(), level));
        double[] actions = new double[sum.length];
        Arrays.fill(actions, cost.actions());
        steps.add(step(CostCause.ACTIONS, sum, actions, level));
        return steps;
    }

    private static CostStep step(CostCause cause, double[] sum, double[] part, double level) {
        for (int i = 0; i < sum.length; i++) {
            sum[i] += part[i];
        }
        return new CostStep(cause, Sample.of(sum).percentile(level));
    }
}
