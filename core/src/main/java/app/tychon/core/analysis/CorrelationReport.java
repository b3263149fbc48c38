package app.tychon.core.analysis;

import app.tychon.core.model.Correlation;
import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.statistics.Centred;
import app.tychon.core.statistics.Ranks;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What became of a correlation: rank correlations of its members in their order.
 *
 * @param asked    as the plan has them
 * @param used     those of the nearest possible matrix
 * @param achieved Spearman's, in the run; zero where a member is certain
 */
public record CorrelationReport(String id, double[][] asked, double[][] used, double[][] achieved) {

    /** Reports all correlations of a plan over the first iterations of a run; none where they are switched off. */
    public static List<CorrelationReport> of(CompiledPlan plan, RunSettings settings, int iterations) {
        Inputs inputs = Inputs.of(plan);
        Map<String, Input> byId = new HashMap<>();
        inputs.all().stream()
                .filter(i -> i.kind() == Input.Kind.ESTIMATE || i.kind() == Input.Kind.COST)
                .forEach(i -> byId.put(i.id(), i));
        return plan.correlations().stream()
                .map(c -> report(c, plan.usedCorrelation(c.id()), inputs, byId, settings, iterations))
                .toList();
    }

    private static CorrelationReport report(
            Correlation correlation,
            double[][] used,
            Inputs inputs,
            Map<String, Input> byId,
            RunSettings settings,
            int iterations) {
        int size = correlation.members().size();
        Centred[] ranks = new Centred[size];
        for (int i = 0; i < size; i++) {
            Input input = byId.get(correlation.members().get(i));
            ranks[i] = Centred.of(
                    input == null ? new double[iterations] : Ranks.of(inputs.sample(input, settings, iterations)));
        }
        double[][] achieved = new double[size][size];
        for (int i = 0; i < size; i++) {
            achieved[i][i] = 1;
            for (int j = 0; j < i; j++) {
                achieved[i][j] = ranks[i].correlation(ranks[j]).orElse(0);
                achieved[j][i] = achieved[i][j];
            }
        }
        return new CorrelationReport(correlation.id(), correlation.asked(), used, achieved);
    }

    /** By how much at most the coefficients used differ from those asked for. */
    public double largestMove() {
        double largest = 0;
        for (int i = 0; i < asked.length; i++) {
            for (int j = 0; j < i; j++) {
                largest = Math.max(largest, Math.abs(used[i][j] - asked[i][j]));
            }
        }
        return largest;
    }
}
