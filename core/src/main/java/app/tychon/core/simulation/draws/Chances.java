package app.tychon.core.simulation.draws;

/** Where the draws of one uncertain quantity come from: a stream of its own, or a mixture with those it moves with. */
public interface Chances {
    /** Draws in (0, 1) for every lane of a batch. */
    void fill(Batch batch, double[] out);
}
