package app.tychon.core.simulation.draws;

/**
 * The iterations that a thread works off side by side, a lane each.
 *
 * @param draws   where they draw from
 * @param first   iteration of the first lane, a multiple of four; all lie within one block of the hypercube
 * @param count   how many, at most {@link #WIDTH}
 * @param scratch the thread's own
 */
public record Batch(Draws draws, int first, int count, Scratch scratch) {
    /** Most iterations side by side; one block of the hypercube. */
    public static final int WIDTH = Draws.BLOCK;

    /** The draws of a stream for every lane, in (0, 1). */
    public void fill(RandomStream stream, double[] out) {
        draws.fill(stream, first, count, out, scratch);
    }

    /** The lanes after these. */
    public Batch at(int iteration, int lanes) {
        return new Batch(draws, iteration, lanes, scratch);
    }
}
