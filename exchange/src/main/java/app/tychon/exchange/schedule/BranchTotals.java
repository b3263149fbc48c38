package app.tychon.exchange.schedule;

import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.calendar.WorkingTimes;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Plan;
import app.tychon.core.model.WbsNode;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Schedule;
import app.tychon.core.schedule.Schedule.ScheduledActivity;
import app.tychon.core.simulation.money.PlannedCost;
import java.util.HashMap;
import java.util.Map;

/** Dates and planned money of branches, rolled up from what lies beneath them; hammocks widen no branch. */
final class BranchTotals {
    /**
     * What lies beneath a branch.
     *
     * @param start of the first work, an instant in minutes
     * @param finish of the last
     * @param days working days of the project's calendar in between
     */
    record Total(double start, double finish, double days, double money) {
        boolean hasWork() {
            return finish >= start;
        }
    }

    private static final class Sum {
        private double start = Double.POSITIVE_INFINITY;
        private double finish = Double.NEGATIVE_INFINITY;
        private double money;
    }

    private final Map<String, Double> money;
    private final Map<String, Sum> sums = new HashMap<>();
    private final WorkingTime time;
    private final double minutesPerDay;

    private BranchTotals(Plan plan, Map<String, Double> money) {
        this.money = money;
        time = WorkingTimes.ofProject(plan);
        minutesPerDay = plan.projectCalendar().hoursPerDay() * 60;
    }

    static BranchTotals of(Plan plan, Schedule schedule) {
        BranchTotals totals = new BranchTotals(plan, PlannedCost.byOwner(Network.of(plan)));
        Map<String, WbsNode> branches = new HashMap<>();
        plan.wbs().forEach(node -> branches.put(node.id(), node));
        Map<String, ScheduledActivity> dates = new HashMap<>();
        schedule.activities().forEach(row -> dates.put(row.id(), row));
        for (Activity activity : plan.activities()) {
            ScheduledActivity row = dates.get(activity.id());
            double own = totals.own(activity.id());
            for (WbsNode at = branches.get(activity.wbs()); at != null; at = above(at, branches)) {
                Sum sum = totals.sums.computeIfAbsent(at.id(), id -> new Sum());
                sum.money += own;
                if (!activity.isHammock()) {
                    sum.start = Math.min(sum.start, row.earlyStart());
                    sum.finish = Math.max(sum.finish, row.earlyFinish());
                }
            }
        }
        for (WbsNode node : plan.wbs()) {
            for (WbsNode at = node; at != null; at = above(at, branches)) {
                totals.sums.computeIfAbsent(at.id(), id -> new Sum()).money += totals.own(node.id());
            }
        }
        return totals;
    }

    private static WbsNode above(WbsNode node, Map<String, WbsNode> branches) {
        return node.parent().map(branches::get).orElse(null);
    }

    Total of(String branch) {
        Sum sum = sums.getOrDefault(branch, new Sum());
        double days = sum.finish >= sum.start ? (time.work(sum.finish) - time.work(sum.start)) / minutesPerDay : 0;
        return new Total(sum.start, sum.finish, days, sum.money);
    }

    /** Planned money that stands on an activity or a branch itself. */
    double own(String id) {
        return money.getOrDefault(id, 0.0);
    }
}
