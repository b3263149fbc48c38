package app.tychon.core.schedule;

import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.model.Activity;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Progress;

/**
 * What of an activity is history and what is still to be worked, by the data date.
 *
 * @param done      minutes of its own working time that lie behind it
 * @param remaining minutes that lie ahead, without uncertainty
 * @param start     instant of its actual start, where it has one
 * @param finish    instant of its actual finish, where it has one
 */
public record Work(State state, double done, double remaining, double start, double finish) {
    public enum State {
        NOT_STARTED,
        UNDER_WAY,
        FINISHED
    }

    static Work of(Activity activity, CalendarDefinition calendar, WorkingTime time, double dataDate) {
        Progress progress = activity.progress();
        double planned = activity.duration().minutes(calendar);
        if (!progress.hasStarted()) {
            return new Work(State.NOT_STARTED, 0, planned, Double.NaN, Double.NaN);
        }
        double start = Instants.of(progress.actualStart().get());
        if (progress.isFinished()) {
            double finish = Instants.of(progress.actualFinish().get());
            return new Work(State.FINISHED, Math.max(0, time.work(finish) - time.work(start)), 0, start, finish);
        }
        double done = Math.max(0, time.work(dataDate) - time.work(start));
        double remaining = progress.remaining().map(r -> r.minutes(calendar)).orElse(Math.max(0, planned - done));
        return new Work(State.UNDER_WAY, done, remaining, start, Double.NaN);
    }

    public boolean isFinished() {
        return state == State.FINISHED;
    }

    public boolean isUnderWay() {
        return state == State.UNDER_WAY;
    }
}
