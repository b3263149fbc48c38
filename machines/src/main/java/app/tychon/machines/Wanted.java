package app.tychon.machines;

/** What is wanted of a run. */
public enum Wanted {
    /** What {@link app.tychon.core.simulation.Simulation#run} gives. */
    ALL,
    /** Finish and cost alone, as {@link app.tychon.core.simulation.Simulation#outcomes} gives them. */
    OUTCOMES
}
