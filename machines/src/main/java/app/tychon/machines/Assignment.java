package app.tychon.machines;

import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;

/**
 * A run as workers need to know it.
 *
 * @param run names it among all machines
 * @param plan digest of the plan's file
 */
record Assignment(String run, String plan, int iterations, long seed, String sampling, Wanted wanted) {
    RunSettings settings() {
        return new RunSettings(iterations, seed, Sampling.valueOf(sampling), 1);
    }
}
