package app.tychon.core.simulation;

import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.Inputs.Filler;
import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.draws.RandomStream;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.risk.RiskEvent;
import app.tychon.core.simulation.risk.RiskImpact;
import app.tychon.core.simulation.risk.Strikes;
import app.tychon.core.simulation.settings.Input;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * How hard a risk strikes in each iteration, chance and size together: the time of all its impacts, of what each delays
 * most, or their money with what that time costs.
 */
final class RiskStrength {
    /** A factor of one, or nothing added, does nothing. */
    private record Weighed(RiskImpact impact, List<RandomStream> streams, double neutral, double each) {}

    private final CompiledPlan plan;
    private final Network network;
    private final double minutePrice;
    private RiskSize.Sizing sizing;

    RiskStrength(CompiledPlan plan, double minutePrice) {
        this.plan = plan;
        network = plan.network();
        this.minutePrice = minutePrice;
    }

    /** @param side {@link Input#TIME} or {@link Input#MONEY} */
    Filler of(RiskEvent event, int side) {
        List<Weighed> impacts = weighed(event, side);
        Strikes strikes = plan.risks().spaceFor(event);
        double[] one = new double[Batch.WIDTH];
        return (batch, out) -> {
            plan.risks().strikeOnly(event, batch, plan::duration, strikes);
            Arrays.fill(out, 0, batch.count(), 0);
            for (Weighed weighed : impacts) {
                for (RandomStream stream : weighed.streams()) {
                    weighed.impact().total(stream, batch, strikes, one);
                    for (int k = 0; k < batch.count(); k++) {
                        out[k] += (one[k] - weighed.neutral()) * weighed.each();
                    }
                }
            }
        };
    }

    private List<Weighed> weighed(RiskEvent event, int side) {
        RiskSize.Sizing sizes = sizes();
        List<Weighed> impacts = new ArrayList<>();
        for (RiskImpact impact : event.impacts()) {
            boolean onTime = impact.impact().effect().isOnTime();
            double unit = onTime
                    ? sizes.minutes(impact.impact(), 1) - sizes.minutes(impact.impact(), 0)
                    : sizes.money(impact.impact(), 1) - sizes.money(impact.impact(), 0);
            double worth = side == Input.TIME ? (onTime ? 1 : 0) : (onTime ? minutePrice : 1);
            List<RandomStream> streams = Inputs.streams(network, impact);
            if (unit * worth != 0 && !streams.isEmpty()) {
                double neutral = impact.impact().effect().isScale() ? 1 : 0;
                impacts.add(new Weighed(impact, streams, neutral, unit * worth / streams.size()));
            }
        }
        return impacts;
    }

    /** Made when the first risk is asked for. */
    private synchronized RiskSize.Sizing sizes() {
        if (sizing == null) {
            sizing = new RiskSize.Sizing(network);
        }
        return sizing;
    }
}
