package app.tychon.core.model;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;

/** What cannot be true of the progress of one activity; pointers are relative to it. */
public final class ProgressRules {
    private final Activity activity;
    private final Progress progress;
    private final Optional<LocalDateTime> dataDate;
    private final Found found = new Found();

    private ProgressRules(Activity activity, Optional<LocalDateTime> dataDate) {
        this.activity = activity;
        progress = activity.progress();
        this.dataDate = dataDate;
    }

    /** @param dataDate that of the project */
    public static List<Problem> problems(Activity activity, Optional<LocalDateTime> dataDate) {
        ProgressRules rules = new ProgressRules(activity, dataDate);
        if (!activity.progress().equals(Progress.NONE)) {
            rules.check();
        }
        return rules.found.all();
    }

    private void check() {
        if (activity.isHammock()) {
            found.add("", "a hammock takes its dates from what opens and closes it, so it has no progress of its own");
            return;
        }
        progress.actualStart().ifPresent(date -> actual("/actualStart", date));
        progress.actualFinish().ifPresent(date -> actual("/actualFinish", date));
        if (progress.isFinished() && !progress.hasStarted()) {
            found.add("/actualStart", "is missing: what has finished has started");
        }
        if (progress.isFinished()
                && progress.hasStarted()
                && progress.actualFinish().get().isBefore(progress.actualStart().get())) {
            found.add(
                    "/actualFinish",
                    progress.actualFinish().get() + " is before the start, "
                            + progress.actualStart().get());
        }
        if (activity.isMilestone() && progress.isUnderWay()) {
            found.add("/actualFinish", "is missing: a milestone that has started has been reached");
        }
        progress.remaining().ifPresent(this::remaining);
    }

    private void actual(String pointer, LocalDateTime date) {
        found.addAll(TextRules.date(pointer, date));
        if (dataDate.isEmpty()) {
            found.add(pointer, "there is progress, but the project has no data date");
        } else if (date.isAfter(dataDate.get())) {
            found.add(pointer, date + " is after the data date, " + dataDate.get());
        }
    }

    private void remaining(WorkDuration remaining) {
        if (remaining.amount() < 0) {
            found.add("/remaining", "a remaining duration of " + remaining + " is not possible");
        } else if (!progress.hasStarted()) {
            found.add("/remaining", "work that has not started has all of its duration before it");
        } else if (progress.isFinished() && remaining.amount() > 0) {
            found.add("/remaining", "what has finished has nothing remaining; this is " + remaining);
        } else if (remaining.isElapsed() != activity.duration().isElapsed() && remaining.amount() > 0) {
            found.add("/remaining", "must be in elapsed days exactly where the duration is; this is " + remaining);
        }
    }
}
