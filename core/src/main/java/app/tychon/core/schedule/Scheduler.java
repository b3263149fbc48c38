package app.tychon.core.schedule;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Bounds;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Link;
import app.tychon.core.model.Problem;
import app.tychon.core.schedule.Schedule.ScheduledActivity;
import java.time.LocalDateTime;
import java.util.ArrayList;
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
    private final LatePass late;
    private final int n;

    private Scheduler(Network network) {
        this.network = network;
        pass = new ForwardPass(network);
        late = new LatePass(network);
        n = network.size();
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
        if (n > 0) {
            late.run(lanes, 0, CriticalTrace.PROJECT);
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

    private List<ScheduledActivity> inPlanOrder(Lanes lanes) {
        List<ScheduledActivity> rows = new ArrayList<>(n);
        for (Activity activity : network.plan().activities()) {
            int i = network.position(activity.id());
            double start = lanes.start[i][0];
            double finish = lanes.finish[i][0];
            Work work = network.work(i);
            // History and hammocks cannot slip by themselves.
            boolean fixed = work.isFinished() || activity.isHammock();
            double slipStart = work.isUnderWay() ? start : late.lateStart(i);
            double totalFloat = late.totalFloat(i, lanes, 0);
            if (fixed) {
                rows.add(new ScheduledActivity(activity.id(), start, finish, start, finish, 0, 0, critical(lanes, i)));
                continue;
            }
            rows.add(new ScheduledActivity(
                    activity.id(),
                    start,
                    finish,
                    slipStart,
                    late.lateFinish(i),
                    totalFloat,
                    Math.min(late.freeFloat(i), Math.max(0, totalFloat)),
                    critical(lanes, i)));
        }
        return rows;
    }

    private static boolean critical(Lanes lanes, int position) {
        return lanes.critical[position][0];
    }
}
