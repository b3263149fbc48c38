package app.tychon.core.simulation.money;

import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.schedule.Network;

/**
 * What money stands on, or waits for: an activity, or a branch.
 *
 * @param position of the activity, -1 for a branch
 * @param on       its id
 */
public record Place(int position, String on) {
    static Place of(Network network, String on) {
        return new Place(network.branches().isBranch(on) ? -1 : network.position(on), on);
    }

    public boolean isBranch() {
        return position < 0;
    }

    /** The time map in which work there counts. */
    WorkingTime time(Network network) {
        return isBranch() ? network.frame(on).time() : network.time(position);
    }
}
