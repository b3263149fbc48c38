package app.tychon.core.simulation.money;

import app.tychon.core.simulation.risk.Hit;

/**
 * Money that a risk adds to something.
 *
 * @param target what the risk names
 * @param place  what the money stands on: the same, or what a cost line stands on
 * @param owner  row of what it stands on in {@link CostLanes#owners}
 */
public record AddedCost(String target, Place place, int owner, Hit hit) {}
