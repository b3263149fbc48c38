package app.tychon.server.runs;

import jakarta.annotation.Nullable;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.UUID;

/**
 * A recorded run as the list shows it.
 *
 * @param number counts the runs of the project
 * @param state running, done, stopped, interrupted or failed
 * @param asked iterations asked for, at most
 * @param tolerance share of the standard deviation at which it stops by itself; absent where it does not
 * @param done iterations simulated
 * @param revision of the project's inputs it was made from
 * @param p80Finish finish that is kept with 80 % chance, once there are results
 * @param failure why it failed
 * @param progress while it runs
 */
record RunView(
        UUID id,
        int number,
        @Nullable String name,
        @Nullable String note,
        String state,
        Instant startedAt,
        int asked,
        @Nullable Double tolerance,
        int done,
        long seed,
        String sampling,
        long revision,
        @Nullable LocalDateTime p80Finish,
        @Nullable String failure,
        @Nullable Progress progress) {

    /** How far a run is: iterations done, their rate, and seconds left at that rate. */
    record Progress(int done, double perSecond, double secondsLeft, boolean paused) {}

    RunView withProgress(Progress now) {
        return new RunView(
                id,
                number,
                name,
                note,
                state,
                startedAt,
                asked,
                tolerance,
                now.done(),
                seed,
                sampling,
                revision,
                p80Finish,
                failure,
                now);
    }
}
