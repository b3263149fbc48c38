package app.tychon.core.simulation;

/** Where the draws of one uncertain quantity come from: a stream of its own, or a mixture with those it moves with. */
interface Chances {
    /**
     * Draws in (0, 1) for {@code count} iterations from {@code first}, as {@link Draws#fill} gives them.
     *
     * @param scratch the calling thread's own
     */
    void fill(Draws draws, int first, int count, double[] out, Scratch scratch);
}
