package app.tychon.core.analysis;

import app.tychon.core.simulation.difference.Differences;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;

/**
 * What a set of risks costs in every future: the cost with everything, less that of the same future in which they are
 * switched off. Gains are losses below zero. What responses cost is no loss.
 *
 * @param direct money that they add to amounts, a value an iteration
 * @param whole  the same with the money of the time that they take
 */
public record Losses(double[] direct, double[] whole) {

    /**
     * Works out many sets at once.
     *
     * @param sets ids of risks, by what each set is known by
     * @throws java.util.concurrent.CancellationException when stopped before anything was done, or interrupted
     */
    public static <K> Map<K, Losses> of(
            CompiledPlan plan, RunSettings settings, Map<K, Set<String>> sets, RunMonitor monitor) {
        Map<K, Variation> without = new LinkedHashMap<>();
        sets.forEach((key, risks) -> {
            Variation variation = plan.variation();
            for (String risk : risks) {
                variation = variation.withRisk(risk, RiskSetting.OFF);
            }
            without.put(key, variation);
        });
        Differences<K> differences = Differences.of(plan, settings, without, monitor, some -> {});
        Outcomes own = differences.own();
        Map<K, Losses> losses = new LinkedHashMap<>();
        sets.keySet().forEach(key -> {
            Outcomes its = differences.of(key);
            losses.put(key, new Losses(own.riskBeyond(its), own.costBeyond(its)));
        });
        return losses;
    }
}
