package app.tychon.core.simulation.money;

import app.tychon.core.simulation.risk.Hit;
import java.util.Optional;

/**
 * Money that a risk adds to something.
 *
 * @param target what the risk names
 * @param place  what the money stands on: the same, or what a cost line stands on
 * @param owner  row of what it stands on in {@link CostLanes#owners}
 * @param line   the cost line that it is added to: it falls due with that, at the prices of then. None where it is added to a
 *     row, or is on record and known to the cent
 */
public record AddedCost(String target, Place place, int owner, Hit hit, Optional<CostItem> line) {
    /** Whether it follows when the work is done. */
    public boolean followsDates() {
        return line.isPresent() && line.get().followsDates();
    }
}
