package app.tychon.core.simulation.risk;

import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.draws.RandomStream;

/**
 * An impact on one target.
 *
 * @param stream the target's draw, where targets do not share one
 * @param unit   what one unit of its size is worth at the target: minutes, money, 1 for a factor
 */
public record Hit(RiskImpact impact, RandomStream stream, double unit) {

    /** The total size on this target in each lane, in the impact's own unit; {@code own} is filled where it is its own. */
    public double[] sizes(Batch batch, Strikes strikes) {
        if (impact.isShared()) {
            return strikes.size[impact.index()];
        }
        impact.total(stream, batch, strikes, strikes.own);
        return strikes.own;
    }
}
