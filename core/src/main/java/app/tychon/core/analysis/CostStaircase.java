package app.tychon.core.analysis;

import app.tychon.core.model.Risk;
import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.difference.Differences;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.result.RunResult.CostSamples;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.Input.Key;
import app.tychon.core.simulation.settings.Input.Kind;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import app.tychon.core.statistics.Sample;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * From the plan's cost to that at a percentile, by where the money goes: the percentile of the parts of one run's cost,
 * added up one after the other. The last is the total's.
 */
public final class CostStaircase {
    /** What a step adds to the one before. */
    public enum Cause {
        PLANNED,
        /** The ranges of amounts, at planned durations. */
        ESTIMATE_SPREAD,
        /** What longer or shorter work costs, whatever made it so. */
        TIME_DRIVEN,
        /** What risks add to amounts. */
        RISK,
        /** What the responses cost that are decided on. */
        ACTIONS
    }

    /** Where a step stands, in money. */
    public record Step(Cause cause, double value) {}

    /** What delay comes from. */
    public enum Delay {
        ESTIMATES,
        THREATS,
        OPPORTUNITIES
    }

    /**
     * One thing in a step.
     *
     * @param key    a cost line's estimate or a risk
     * @param change what it would add to the percentile alone, on top of the steps before
     */
    public record Part<K>(K key, double change) {}

    private CostStaircase() {}

    /** @param level of the percentile, 0 to 1 */
    public static List<Step> of(CostSamples cost, double level) {
        double[] sum = new double[cost.spread().length];
        Arrays.fill(sum, cost.planned());
        List<Step> steps = new ArrayList<>();
        steps.add(new Step(Cause.PLANNED, cost.planned()));
        steps.add(step(Cause.ESTIMATE_SPREAD, sum, cost.spread(), level));
        steps.add(step(Cause.TIME_DRIVEN, sum, cost.timeDriven(), level));
        steps.add(step(Cause.RISK, sum, cost.risk(), level));
        double[] actions = new double[sum.length];
        Arrays.fill(actions, cost.actions());
        steps.add(step(Cause.ACTIONS, sum, actions, level));
        return steps;
    }

    private static Step step(Cause cause, double[] sum, double[] part, double level) {
        for (int i = 0; i < sum.length; i++) {
            sum[i] += part[i];
        }
        return new Step(cause, Sample.of(sum).percentile(level));
    }

    /** What the range of each amount would add to the plan's cost alone, the most first. */
    public static List<Part<Key>> amounts(CompiledPlan plan, RunSettings settings, double level, RunMonitor monitor) {
        Set<Key> held = Inputs.of(plan).all().stream()
                .map(Input::key)
                .filter(key -> key.kind().isEstimated())
                .collect(Collectors.toSet());
        Variation base =
                Variation.CERTAIN.withEstimates().withCorrelations(true).holdingAll(held);
        Map<Key, Variation> alone = new LinkedHashMap<>();
        held.stream()
                .filter(key -> key.kind() != Kind.ESTIMATE)
                .sorted(Comparator.comparing(Key::id))
                .forEach(key -> alone.put(key, base.releasing(key)));
        if (alone.isEmpty()) {
            return List.of();
        }
        Differences<Key> differences = Differences.of(plan.with(base), settings, alone, monitor, early -> {});
        double planned = plan.plannedCost();
        return sorted(alone.keySet().stream()
                .map(key ->
                        new Part<>(key, Sample.of(differences.of(key).cost()).percentile(level) - planned))
                .toList());
    }

    /** What the delay of each origin alone would add to amounts and their ranges, the most first. */
    public static List<Part<Delay>> delay(
            CompiledPlan plan, CostSamples cost, RunSettings settings, double level, RunMonitor monitor) {
        double[] before = before(cost, Cause.TIME_DRIVEN);
        Set<Key> amounts = Inputs.of(plan).all().stream()
                .map(Input::key)
                .filter(key -> key.kind() == Kind.COST || key.kind() == Kind.PRICE)
                .collect(Collectors.toSet());
        Map<Delay, Variation> alone = new LinkedHashMap<>();
        alone.put(
                Delay.ESTIMATES,
                Variation.CERTAIN.withEstimates().withCorrelations(true).holdingAll(amounts));
        alone.put(Delay.THREATS, risks(plan, Risk.Kind.THREAT));
        alone.put(Delay.OPPORTUNITIES, risks(plan, Risk.Kind.OPPORTUNITY));
        return sorted(alone.entrySet().stream()
                .map(one -> new Part<>(
                        one.getKey(),
                        added(
                                before,
                                delayed(Simulation.outcomes(plan.with(one.getValue()), settings, monitor)),
                                level)))
                .toList());
    }

    private static Variation risks(CompiledPlan plan, Risk.Kind kind) {
        Variation variation = Variation.CERTAIN;
        for (Risk risk : plan.network().plan().risks()) {
            if (risk.kind() == kind) {
                variation = variation.withRisk(risk.id(), RiskSetting.CURRENT);
            }
        }
        return variation;
    }

    /** What of the cost is neither certain nor added to amounts, where amounts have no spread. */
    private static double[] delayed(Outcomes outcomes) {
        double[] delayed = new double[outcomes.cost().length];
        for (int i = 0; i < delayed.length; i++) {
            delayed[i] = outcomes.cost()[i] - outcomes.certain() - outcomes.risk()[i];
        }
        return delayed;
    }

    /** What the money of each risk would add to all but the other risks' money, the most first. */
    public static List<Part<String>> risks(
            CompiledPlan plan, CostSamples cost, RunSettings settings, double level, RunMonitor monitor) {
        double[] before = before(cost, Cause.RISK);
        Map<String, Set<String>> each = new LinkedHashMap<>();
        plan.network().plan().risks().stream()
                .filter(Risk::isLive)
                .forEach(risk -> each.put(risk.id(), Set.of(risk.id())));
        if (each.isEmpty()) {
            return List.of();
        }
        return sorted(Losses.of(plan, settings, each, monitor).entrySet().stream()
                .filter(one -> Arrays.stream(one.getValue().direct()).anyMatch(money -> money != 0))
                .map(one ->
                        new Part<>(one.getKey(), added(before, one.getValue().direct(), level)))
                .toList());
    }

    /** The cost up to the step before a cause. */
    private static double[] before(CostSamples cost, Cause cause) {
        double[] before = new double[cost.spread().length];
        for (int i = 0; i < before.length; i++) {
            before[i] = cost.planned() + cost.spread()[i] + (cause == Cause.RISK ? cost.timeDriven()[i] : 0);
        }
        return before;
    }

    private static double added(double[] before, double[] part, double level) {
        double[] after = new double[before.length];
        for (int i = 0; i < after.length; i++) {
            after[i] = before[i] + part[i];
        }
        return Sample.of(after).percentile(level) - Sample.of(before).percentile(level);
    }

    private static <K> List<Part<K>> sorted(List<Part<K>> parts) {
        return parts.stream()
                .sorted(Comparator.comparingDouble((Part<K> part) -> -Math.abs(part.change())))
                .toList();
    }
}
