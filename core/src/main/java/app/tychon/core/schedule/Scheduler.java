package app.tychon.core.schedule;

import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Bounds;
import app.tychon.core.model.Constraint;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Link;
import app.tychon.core.model.Problem;
import app.tychon.core.schedule.Schedule.ScheduledActivity;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * The critical path method (Kelley and Walker 1959) with calendars, all link types, lags and constraints: one forward
 * and one backward pass at planned durations. O(activities + links).
 */
public final class Scheduler {
    private final Network network;
    private final ForwardPass pass;
    private final int n;
    private final double[] lateStart;
    private final double[] lateFinish;
    private final double[] free;

    private Scheduler(Network network) {
        this.network = network;
        pass = new ForwardPass(network);
        n = network.size();
        lateStart = new double[n];
        lateFinish = new double[n];
        free = new double[n];
    }

    /** @throws InvalidPlanException where the plan would take longer than a plan may */
    public static Schedule schedule(Network network) {
        return new Scheduler(network).run();
    }

    /** The links that hold their successor where it stands, hammocks' included. */
    public static Set<Link> driving(Network network) {
        Scheduler scheduler = new Scheduler(network);
        Lanes lanes = scheduler.early();
        Set<Link> driving = new HashSet<>();
        for (int i = 0; i < network.size(); i++) {
            for (int link = network.firstIn(i); link < network.firstIn(i + 1); link++) {
                if (scheduler.pass.drives(link, i, lanes, 0)) {
                    driving.add(network.planLink(link));
                }
            }
        }
        return driving;
    }

    private Lanes early() {
        Lanes lanes = new Lanes(n, 1);
        for (int i = 0; i < n; i++) {
            lanes.duration[i][0] = network.expected(i);
        }
        pass.run(lanes, 1);
        return lanes;
    }

    private Schedule run() {
        Lanes lanes = early();
        new CriticalTrace(network, pass).run(lanes, 1);
        refuseEndless(lanes);
        double finish = n == 0 ? Instants.of(network.plan().project().start()) : lanes.end[0];
        Arrays.fill(lateStart, Double.POSITIVE_INFINITY);
        Arrays.fill(lateFinish, finish);
        Arrays.fill(free, Double.POSITIVE_INFINITY);
        for (int i = n - 1; i >= 0; i--) {
            placeLate(i);
            if (free[i] == Double.POSITIVE_INFINITY) {
                free[i] = network.time(i).work(finish) - network.time(i).work(lanes.finish[i][0]);
            }
            boolean holds = !network.isHammock(i) && !network.work(i).isFinished();
            for (int link = network.firstIn(i); holds && link < network.firstIn(i + 1); link++) {
                hold(link, i, lanes);
            }
        }
        return new Schedule(finish, inPlanOrder(lanes));
    }

    /** Told of the first activity, in the order of the work, that finishes too late. */
    private void refuseEndless(Lanes lanes) {
        LocalDateTime latest = network.plan().project().start().plusYears(Bounds.LONGEST_YEARS);
        for (int i = 0; i < n; i++) {
            if (!(lanes.finish[i][0] <= Instants.of(latest))) {
                Activity activity = network.activity(i);
                throw new InvalidPlanException(List.of(new Problem(
                        "/activities/" + network.plan().activities().indexOf(activity) + "/duration",
                        "\"" + activity.id() + "\" would finish more than " + Bounds.LONGEST_YEARS
                                + " years after the project's start; look at its duration, its calendar and what comes"
                                + " before it")));
            }
        }
    }

    /**
     * Late dates of an activity from the bounds its successors have set. Of work under way, the late start is when what
     * remains must go on.
     */
    private void placeLate(int i) {
        WorkingTime time = network.time(i);
        double duration = network.work(i).remaining();
        Activity activity = network.activity(i);
        if (activity.constraint().isPresent()) {
            bound(i, activity.constraint().get());
        }
        double latestStart = lateStart[i];
        if (duration == 0) {
            lateFinish[i] = Math.min(lateFinish[i], latestStart);
            lateStart[i] = lateFinish[i];
            return;
        }
        double finishWork = time.work(lateFinish[i]);
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
    private void hold(int link, int to, Lanes lanes) {
        int from = network.from(link);
        boolean fromFinish = network.type(link).fromFinish();
        boolean toStart = network.type(link).toStart();
        double late = back(link, toStart ? lateStart[to] : lateFinish[to]);
        double early = back(link, toStart ? lanes.start[to][0] : lanes.finish[to][0]);
        WorkingTime time = network.time(from);
        double now = fromFinish ? lanes.finish[from][0] : lanes.start[from][0];
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
        return lag == 0 ? instant : time.startInstant(time.work(instant) - lag);
    }

    private List<ScheduledActivity> inPlanOrder(Lanes lanes) {
        List<ScheduledActivity> rows = new ArrayList<>(n);
        for (Activity activity : network.plan().activities()) {
            int i = network.position(activity.id());
            WorkingTime time = network.time(i);
            double start = lanes.start[i][0];
            double finish = lanes.finish[i][0];
            Work work = network.work(i);
            // History and hammocks cannot slip by themselves.
            boolean fixed = work.isFinished() || activity.isHammock();
            double slipStart = work.isUnderWay() ? start : lateStart[i];
            double totalFloat = work.isUnderWay()
                    ? time.work(lateFinish[i]) - time.work(finish)
                    : time.work(lateStart[i]) - time.work(start);
            if (fixed) {
                rows.add(new ScheduledActivity(activity.id(), start, finish, start, finish, 0, 0, critical(lanes, i)));
                continue;
            }
            rows.add(new ScheduledActivity(
                    activity.id(),
                    start,
                    finish,
                    slipStart,
                    lateFinish[i],
                    totalFloat,
                    Math.min(free[i], Math.max(0, totalFloat)),
                    critical(lanes, i)));
        }
        return rows;
    }

    private static boolean critical(Lanes lanes, int position) {
        return lanes.critical[position][0];
    }
}
