package app.tychon.core.simulation.money;

import app.tychon.core.simulation.risk.Hit;

/**
 * Money that a risk adds to something.
 *
 * @param owner row of what it stands on in {@link CostLanes#owners}
 */
public record AddedCost(String on, int owner, Hit hit) {}
