package app.tychon.core.simulation.settings;

/**
 * What a run has seen so far, to be asked from any thread while it runs. Values are those of the first iterations, without
 * a gap, so that they are what a shorter run would have given.
 */
public interface Interim {
    /**
     * @param finish instants in minutes
     * @param duration working minutes of the project calendar
     * @param cost money
     */
    record Values(double[] finish, double[] duration, double[] cost) {
        public int iterations() {
            return finish.length;
        }
    }

    /** The iterations that are complete from the first on; none at the beginning. */
    Values values();

    /**
     * How far from steady the first {@code count} iterations are, as in {@link Steadiness#width}: the largest of finish, cost
     * and every watched finish.
     *
     * @param count at most as many as {@link #values} gave
     */
    double unsteadiness(double level, double certainty, int count);
}
