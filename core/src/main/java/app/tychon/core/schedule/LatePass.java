package app.tychon.core.schedule;

import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.model.Constraint;
import java.util.Arrays;

/**
 * Latest dates that keep a finish, from the last activity back to the first: the backward pass of the critical path method.
 * For one thread at a time. O(activities + links).
 */
public final class LatePass {
    private final Network network;
    private final double[] lateStart;
    private final double[] lateFinish;
    private final double[] free;

    public LatePass(Network network) {
        this.network = network;
        lateStart = new double[network.size()];
        lateFinish = new double[network.size()];
        free = new double[network.size()];
    }

    /**
     * Places all activities of a lane that the forward pass has run as late as they keep the finish of the project, or of a
     * target.
     *
     * @param target position, or {@link CriticalTrace#PROJECT}; what does not lead to a target may slip for ever
     */
    public void run(Lanes lanes, int lane, int target) {
        double end = target == CriticalTrace.PROJECT ? lanes.end[lane] : lanes.finish[target][lane];
        Arrays.fill(lateStart, Double.POSITIVE_INFINITY);
        Arrays.fill(lateFinish, target == CriticalTrace.PROJECT ? end : Double.POSITIVE_INFINITY);
        Arrays.fill(free, Double.POSITIVE_INFINITY);
        if (target != CriticalTrace.PROJECT) {
            lateFinish[target] = end;
        }
        for (int i = network.size() - 1; i >= 0; i--) {
            place(i, remaining(i, lanes, lane));
            if (free[i] == Double.POSITIVE_INFINITY) {
                free[i] = network.time(i).work(end) - network.time(i).work(lanes.finish[i][lane]);
            }
            boolean holds = !network.isHammock(i) && !network.work(i).isFinished();
            for (int link = network.firstIn(i); holds && link < network.firstIn(i + 1); link++) {
                hold(link, i, lanes, lane);
            }
        }
    }

    private double remaining(int i, Lanes lanes, int lane) {
        return network.isHammock(i)
                ? 0
                : Math.max(0, lanes.duration[i][lane] - network.work(i).done());
    }

    /**
     * Late dates of an activity from the bounds its successors have set. Of work under way, the late start is when what
     * remains must go on.
     */
    private void place(int i, double duration) {
        WorkingTime time = network.time(i);
        network.activity(i).constraint().ifPresent(constraint -> bound(i, constraint));
        double latestStart = lateStart[i];
        if (duration == 0 || lateFinish[i] == Double.POSITIVE_INFINITY && latestStart == Double.POSITIVE_INFINITY) {
            lateFinish[i] = Math.min(lateFinish[i], latestStart);
            lateStart[i] = lateFinish[i];
            return;
        }
        double finishWork = lateFinish[i] == Double.POSITIVE_INFINITY ? lateFinish[i] : time.work(lateFinish[i]);
        if (latestStart != Double.POSITIVE_INFINITY) {
            finishWork = Math.min(finishWork, time.work(latestStart) + duration);
        }
        lateFinish[i] = time.finishInstant(finishWork);
        lateStart[i] = time.startInstant(finishWork - duration);
    }

    private void bound(int i, Constraint constraint) {
        if (!constraint.type().noLater()) {
            return;
        }
        double date = Instants.of(constraint.date());
        if (constraint.type().onStart()) {
            lateStart[i] = Math.min(lateStart[i], date);
        } else {
            lateFinish[i] = Math.min(lateFinish[i], date);
        }
    }

    /** What a link asks of its predecessor: its late bound, and how far it may slip before the successor moves. */
    private void hold(int link, int to, Lanes lanes, int lane) {
        int from = network.from(link);
        boolean fromFinish = network.type(link).fromFinish();
        boolean toStart = network.type(link).toStart();
        double late = back(link, toStart ? lateStart[to] : lateFinish[to]);
        double early = back(link, toStart ? lanes.start[to][lane] : lanes.finish[to][lane]);
        WorkingTime time = network.time(from);
        double now = fromFinish ? lanes.finish[from][lane] : lanes.start[from][lane];
        free[from] = Math.min(free[from], Math.max(0, time.work(early) - time.work(now)));
        if (fromFinish) {
            lateFinish[from] = Math.min(lateFinish[from], late);
        } else {
            lateStart[from] = Math.min(lateStart[from], late);
        }
    }

    private double back(int link, double instant) {
        double lag = network.lag(link);
        WorkingTime time = network.lagTime(link);
        return lag == 0 || instant == Double.POSITIVE_INFINITY ? instant : time.startInstant(time.work(instant) - lag);
    }

    public double lateStart(int position) {
        return lateStart[position];
    }

    public double lateFinish(int position) {
        return lateFinish[position];
    }

    /** Working minutes by which an activity may slip before any successor moves, never below zero. */
    public double freeFloat(int position) {
        return free[position];
    }

    /** Working minutes of its own calendar by which an activity may slip; below zero where a date constraint is missed. */
    public double totalFloat(int i, Lanes lanes, int lane) {
        WorkingTime time = network.time(i);
        if (lateFinish[i] == Double.POSITIVE_INFINITY) {
            return Double.POSITIVE_INFINITY;
        }
        return network.work(i).isUnderWay()
                ? time.work(lateFinish[i]) - time.work(lanes.finish[i][lane])
                : time.work(lateStart[i]) - time.work(lanes.start[i][lane]);
    }
}
