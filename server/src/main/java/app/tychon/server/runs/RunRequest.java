package app.tychon.server.runs;

import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Steadiness;
import jakarta.annotation.Nullable;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import java.util.concurrent.ThreadLocalRandom;

/**
 * What to simulate.
 *
 * @param iterations how many futures
 * @param seed the seed to use; a new one is chosen where there is none
 * @param tolerance stops sooner, once mean and the project's percentile of finish, cost and watched activities are known to
 *     this share of their standard deviation; absent for all iterations
 * @param certainty of the intervals by which that is judged, 0.5 to 0.999; 0.95 where it is absent
 * @param sampling latin (Latin hypercube) or plain; latin where it is absent
 * @param threads how many work at once; as many as there are processors where it is absent. The numbers do not depend on it
 * @param drawing whether to tell what has been seen while it runs; true where it is absent
 * @param name what the run is to be called
 * @param note why it is made
 */
record RunRequest(
        @Min(value = 100, message = "at least 100 iterations are needed for a percentile to mean anything")
                @Max(value = RunSettings.MOST_ITERATIONS, message = "at most 1,000,000 iterations can be simulated")
                int iterations,
        @Nullable
                @Min(value = 0, message = "a seed is a whole number from 0 to 9,007,199,254,740,991")
                @Max(
                        value = RunRequest.LARGEST_SEED,
                        message = "a seed is a whole number from 0 to 9,007,199,254,740,991")
                Long seed,
        @Nullable
                @DecimalMin(
                        value = "0.005",
                        message = "a tolerance lies between 0.5 % and 100 % of the standard deviation")
                @DecimalMax(value = "1", message = "a tolerance lies between 0.5 % and 100 % of the standard deviation")
                Double tolerance,
        @Nullable
                @DecimalMin(value = "0.5", message = "the certainty of an interval lies between 50 % and 99.9 %")
                @DecimalMax(value = "0.999", message = "the certainty of an interval lies between 50 % and 99.9 %")
                Double certainty,
        @Nullable @Pattern(regexp = "latin|plain", message = "sampling is latin or plain") String sampling,
        @Nullable
                @Min(value = 1, message = "at least one thread is needed")
                @Max(value = RunSettings.MOST_THREADS, message = "at most 256 threads can work at once")
                Integer threads,
        @Nullable Boolean drawing,
        @Nullable @Size(max = 120, message = "a name has at most 120 characters") String name,
        @Nullable @Size(max = 2000, message = "a note has at most 2,000 characters") String note) {
    /** The largest whole number that every reader of JSON keeps exactly. */
    static final long LARGEST_SEED = (1L << 53) - 1;

    private static final long NEW_SEEDS = 1_000_000;

    /** @param level chance of the percentile that is to be steady */
    RunSettings settings(double level) {
        long chosen = seed == null ? ThreadLocalRandom.current().nextLong(NEW_SEEDS) : seed;
        int cores = Runtime.getRuntime().availableProcessors();
        return new RunSettings(
                iterations,
                chosen,
                "plain".equals(sampling) ? Sampling.PLAIN : Sampling.LATIN,
                threads == null ? cores : Math.min(threads, cores),
                Optional.ofNullable(tolerance)
                        .map(t ->
                                new Steadiness(t, level, certainty == null ? Steadiness.USUAL_CERTAINTY : certainty)));
    }

    boolean isDrawn() {
        return !Boolean.FALSE.equals(drawing);
    }
}
