package app.tychon.server.drivers;

import app.tychon.core.simulation.settings.Grain;

/**
 * How finely inputs are told apart.
 *
 * @param apart  whether a risk's chance and each of its sizes stand by themselves
 * @param groups whether estimates that move together stand as one
 */
record Grains(boolean apart, boolean groups) {
    Grain of(Goal goal) {
        return new Grain(apart, groups, goal.aim().isMoney());
    }
}
