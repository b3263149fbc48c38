package app.tychon.core.simulation.settings;

import app.tychon.core.simulation.draws.Draws;

/** How the draws of one stream are spread over the iterations. */
public enum Sampling {
    /** Every draw independent. */
    PLAIN,
    /** Latin hypercube within blocks of {@value Draws#BLOCK} iterations. */
    LATIN
}
