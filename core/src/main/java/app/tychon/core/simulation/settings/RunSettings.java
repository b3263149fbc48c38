package app.tychon.core.simulation.settings;

import java.util.Optional;

/**
 * How to simulate. The numbers depend on iterations, seed and sampling, never on the threads.
 *
 * @param iterations 1 to {@value #MOST_ITERATIONS}; the most there may be, where the run stops when it is steady
 * @param seed       any number; the same one gives the same numbers again
 * @param threads    how many work at once, 1 to {@value #MOST_THREADS}
 * @param until      when to stop sooner
 */
public record RunSettings(int iterations, long seed, Sampling sampling, int threads, Optional<Steadiness> until) {
    public static final int MOST_ITERATIONS = 1_000_000;
    public static final int MOST_THREADS = 256;

    /** @throws IllegalArgumentException naming the setting that is out of its range */
    public RunSettings {
        if (iterations < 1 || iterations > MOST_ITERATIONS) {
            throw new IllegalArgumentException(
                    "iterations must lie between 1 and " + MOST_ITERATIONS + ", not " + iterations);
        }
        if (threads < 1 || threads > MOST_THREADS) {
            throw new IllegalArgumentException("threads must lie between 1 and " + MOST_THREADS + ", not " + threads);
        }
    }

    public RunSettings(int iterations, long seed, Sampling sampling, int threads) {
        this(iterations, seed, sampling, threads, Optional.empty());
    }
}
