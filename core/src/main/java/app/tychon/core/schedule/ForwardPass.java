package app.tychon.core.schedule;

import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Constraint;
import java.util.Arrays;

/**
 * Earliest dates from durations, for any plan. Every activity has its finish both as an instant and as working time of its
 * own calendar. Work is placed on that axis, so that a link within one calendar is an addition and a maximum; only one
 * that comes from another calendar, from a start or over a foreign lag is translated, and nothing but itself. What takes
 * no time stands where the latest of its predecessors lets go of it, to the instant, since the end of one shift and the
 * beginning of the next are the same working time.
 */
public final class ForwardPass {
    /** Times closer than this, in minutes, are the same: far below a minute, far above rounding. */
    public static final double SAME = 1e-6;

    private final Network network;
    /** Instants before which an activity can neither start nor finish. */
    private final double[] startFloor;

    private final double[] finishFloor;
    /** The same in the activity's working time. */
    private final double[] startFloorWork;

    private final double[] finishFloorWork;

    public ForwardPass(Network network) {
        this.network = network;
        int size = network.size();
        startFloor = new double[size];
        finishFloor = new double[size];
        startFloorWork = new double[size];
        finishFloorWork = new double[size];
        for (int i = 0; i < size; i++) {
            Activity activity = network.activity(i);
            WorkingTime time = network.time(i);
            double earliest = network.frame(activity.id()).earliest();
            startFloor[i] = network.work(i).isUnderWay() ? earliest : time.startInstant(time.work(earliest));
            finishFloor[i] = Double.NEGATIVE_INFINITY;
            if (activity.constraint().isPresent()) {
                addFloor(i, activity.constraint().get());
            }
            startFloorWork[i] = time.work(startFloor[i]);
            finishFloorWork[i] =
                    finishFloor[i] == Double.NEGATIVE_INFINITY ? finishFloor[i] : time.work(finishFloor[i]);
        }
    }

    private void addFloor(int position, Constraint constraint) {
        if (!constraint.type().noEarlier()) {
            return;
        }
        double floor = Instants.of(constraint.date());
        if (!constraint.type().onStart()) {
            finishFloor[position] = floor;
        } else if (!network.work(position).isUnderWay()) {
            // What is under way has started; a date for its start says nothing of when it goes on.
            startFloor[position] = Math.max(startFloor[position], floor);
        }
    }

    /** Places all activities in the first {@code count} lanes, from their durations (minutes). */
    public void run(Lanes lanes, int count) {
        lanes.begin(count);
        for (int i = 0; i < lanes.duration.length; i++) {
            place(i, lanes, count);
        }
    }

    /** Fills start and finish of one activity in the first {@code count} lanes; all before it must have been placed. */
    public void place(int i, Lanes lanes, int count) {
        if (network.isHammock(i)) {
            placeHammock(i, lanes, count);
            return;
        }
        if (network.work(i).isFinished()) {
            placeHistory(i, lanes, count);
        } else {
            placeWork(i, lanes, count);
        }
        double[] finish = lanes.finish[i];
        double[] end = lanes.end;
        for (int k = 0; k < count; k++) {
            end[k] = Math.max(end[k], finish[k]);
        }
    }

    private void placeHistory(int i, Lanes lanes, int count) {
        Work work = network.work(i);
        Arrays.fill(lanes.duration[i], 0, count, work.done());
        Arrays.fill(lanes.start[i], 0, count, work.start());
        Arrays.fill(lanes.finish[i], 0, count, work.finish());
        Arrays.fill(lanes.finishWork[i], 0, count, network.time(i).work(work.finish()));
    }

    /** From the earliest of what opens it to the latest of what closes it, in its own working time. */
    private void placeHammock(int i, Lanes lanes, int count) {
        WorkingTime time = network.time(i);
        for (int k = 0; k < count; k++) {
            double open = Double.POSITIVE_INFINITY;
            double close = Double.NEGATIVE_INFINITY;
            for (int link = network.firstIn(i); link < network.firstIn(i + 1); link++) {
                double instant = reaches(link, lanes, k);
                if (network.type(link).toStart()) {
                    open = Math.min(open, instant);
                } else {
                    close = Math.max(close, instant);
                }
            }
            double from = time.work(open);
            double to = time.work(close);
            boolean lasts = to - from > SAME;
            lanes.duration[i][k] = lasts ? to - from : 0;
            lanes.start[i][k] = lasts ? time.startInstant(from) : open;
            lanes.finish[i][k] = lasts ? time.finishInstant(to) : open;
            lanes.finishWork[i][k] = lasts ? to : from;
        }
    }

    private void placeWork(int i, Lanes lanes, int count) {
        WorkingTime time = network.time(i);
        double done = network.work(i).done();
        double[] duration = lanes.duration[i];
        double[] remaining = lanes.remaining;
        double[] work = lanes.work;
        double from = startFloorWork[i];
        double to = finishFloorWork[i];
        for (int k = 0; k < count; k++) {
            remaining[k] = duration[k] - done;
            work[k] = Math.max(from, to - remaining[k]);
        }
        for (int link = network.firstIn(i); link < network.firstIn(i + 1); link++) {
            hold(link, i, lanes, count);
        }
        double[] start = lanes.start[i];
        double[] finish = lanes.finish[i];
        double[] finishWork = lanes.finishWork[i];
        for (int k = 0; k < count; k++) {
            finishWork[k] = work[k] + remaining[k];
        }
        boolean isMilestone = network.activity(i).isMilestone();
        if (!isMilestone) {
            time.startInstants(work, start, count);
        }
        time.finishInstants(finishWork, finish, count);
        for (int k = 0; k < count; k++) {
            if (remaining[k] == 0) {
                finish[k] = stands(i, lanes, k);
                start[k] = finish[k];
            }
        }
        if (network.work(i).isUnderWay()) {
            Arrays.fill(start, 0, count, network.work(i).start());
        } else if (isMilestone) {
            System.arraycopy(finish, 0, start, 0, count);
        }
    }

    /** Puts work off until a link lets go of it. */
    private void hold(int link, int to, Lanes lanes, int count) {
        double[] reached = reached(link, to, lanes, count);
        double shift = isOwnLag(link, to) ? network.lag(link) : 0;
        double[] work = lanes.work;
        if (network.type(link).toStart()) {
            for (int k = 0; k < count; k++) {
                work[k] = Math.max(work[k], reached[k] + shift);
            }
        } else {
            double[] remaining = lanes.remaining;
            for (int k = 0; k < count; k++) {
                work[k] = Math.max(work[k], reached[k] + shift - remaining[k]);
            }
        }
    }

    /** Whether a lag, if any, runs in the successor's calendar. */
    private boolean isOwnLag(int link, int to) {
        return network.lag(link) == 0 || network.lagTime(link) == network.time(to);
    }

    /** The working time of the successor at which a link lets go, but for a lag in that same calendar. */
    private double[] reached(int link, int to, Lanes lanes, int count) {
        int from = network.from(link);
        boolean fromFinish = network.type(link).fromFinish();
        if (fromFinish && isOwnLag(link, to) && network.time(from) == network.time(to)) {
            return lanes.finishWork[from];
        }
        double[] reached = lanes.reached;
        if (isOwnLag(link, to)) {
            network.time(to).works(fromFinish ? lanes.finish[from] : lanes.start[from], reached, count);
            return reached;
        }
        for (int k = 0; k < count; k++) {
            reached[k] = network.time(to).work(reaches(link, lanes, k));
        }
        return reached;
    }

    /** The instant at which an activity that takes no time in a lane stands. */
    private double stands(int i, Lanes lanes, int lane) {
        double instant = Math.max(startFloor[i], finishFloor[i]);
        for (int link = network.firstIn(i); link < network.firstIn(i + 1); link++) {
            instant = Math.max(instant, reaches(link, lanes, lane));
        }
        return instant;
    }

    /** The instant at which a link lets go of its successor. */
    private double reaches(int link, Lanes lanes, int lane) {
        int from = network.from(link);
        WorkingTime lagTime = network.lagTime(link);
        double lag = network.lag(link);
        if (lag != 0 && network.type(link).fromFinish() && lagTime == network.time(from)) {
            return lagTime.finishInstant(lanes.finishWork[from][lane] + lag);
        }
        double source = network.type(link).fromFinish() ? lanes.finish[from][lane] : lanes.start[from][lane];
        return lagTime.plus(source, lag);
    }

    /** Whether a link into {@code to} decides that activity's dates in a lane that has been run. */
    public boolean drives(int link, int to, Lanes lanes, int lane) {
        Work history = network.work(to);
        if (network.isHammock(to) || history.isFinished()) {
            return false;
        }
        double remaining = lanes.duration[to][lane] - history.done();
        if (remaining == 0) {
            return Math.abs(lanes.finish[to][lane] - reaches(link, lanes, lane)) <= SAME;
        }
        // Where work is under way or a milestone is delayed, this is when the remaining work goes on.
        double held =
                network.type(link).toStart() ? lanes.finishWork[to][lane] - remaining : lanes.finishWork[to][lane];
        return Math.abs(held - reachedWork(link, to, lanes, lane)) <= SAME;
    }

    private double reachedWork(int link, int to, Lanes lanes, int lane) {
        int from = network.from(link);
        boolean isOwn = network.type(link).fromFinish() && isOwnLag(link, to) && network.time(from) == network.time(to);
        return isOwn
                ? lanes.finishWork[from][lane] + network.lag(link)
                : network.time(to).work(reaches(link, lanes, lane));
    }
}
