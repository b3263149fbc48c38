package app.tychon.server.runs;

import app.tychon.server.live.Outlook;
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
 * @param level percent of confidence that mattered to the project when it was made
 * @param levelFinish finish that is kept with that level, once there are results
 * @param levelCost cost likewise; absent where the plan has no money
 * @param failure why it failed
 * @param own whether the reader made it; absent where that is not known
 * @param by what whoever made it is called, where they have an account
 * @param progress while it runs
 */
public record RunView(
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
        int level,
        @Nullable LocalDateTime levelFinish,
        @Nullable Double levelCost,
        @Nullable String failure,
        @Nullable Boolean own,
        @Nullable String by,
        @Nullable Progress progress) {

    /**
     * How far a run is.
     *
     * @param done iterations
     * @param perSecond their rate
     * @param secondsLeft at that rate
     * @param machines how many others help with it now
     * @param sight what has been seen so far, now and then; absent where it is not drawn
     */
    public record Progress(
            int done, double perSecond, double secondsLeft, boolean paused, int machines, @Nullable Sight sight) {}

    /**
     * What a run has seen so far.
     *
     * @param unsteadiness how far from steady: 95 % half-width of mean or percentile, as a share of the standard deviation,
     *     the largest of finish, cost and watched activities
     */
    public record Sight(Outlook outlook, double unsteadiness) {}

    /** Whether anything can be read of it. */
    public boolean hasResults() {
        return levelFinish != null;
    }

    /** The same run at work. */
    RunView withProgress(Progress now) {
        return new RunView(
                id,
                number,
                name,
                note,
                RunState.RUNNING.word(),
                startedAt,
                asked,
                tolerance,
                now.done(),
                seed,
                sampling,
                revision,
                level,
                levelFinish,
                levelCost,
                null,
                own,
                by,
                now);
    }
}
