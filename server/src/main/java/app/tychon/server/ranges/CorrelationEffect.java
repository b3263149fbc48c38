package app.tychon.server.ranges;

import app.tychon.core.analysis.CorrelationReport;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.server.live.Outlook;
import java.util.List;

/**
 * What it makes that estimates move together.
 *
 * @param with the odds as they are
 * @param without the odds as if all moved alone, on the same random numbers
 * @param achieved what became of each correlation
 */
record CorrelationEffect(Outlook with, Outlook without, List<Achieved> achieved) {
    static final int ITERATIONS = 5_000;

    /**
     * Coefficients asked for, of the nearest possible matrix, and as they came out; each a full matrix by the members'
     * order.
     */
    record Achieved(String id, double[][] asked, double[][] used, double[][] achieved) {}

    static CorrelationEffect of(CompiledPlan plan, Outlook with, Outlook without) {
        return new CorrelationEffect(
                with,
                without,
                CorrelationReport.of(plan, Outlook.settings(ITERATIONS), ITERATIONS).stream()
                        .map(r -> new Achieved(r.id(), r.asked(), r.used(), r.achieved()))
                        .toList());
    }
}
