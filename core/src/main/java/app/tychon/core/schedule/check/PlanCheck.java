package app.tychon.core.schedule.check;

import app.tychon.core.model.Acceptance;
import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.Plan;
import app.tychon.core.model.WorkDuration;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Schedule;
import app.tychon.core.schedule.Schedule.ScheduledActivity;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Looks a calculated plan over. O(activities + links). */
public final class PlanCheck {
    /** Days of work in one piece above which progress is hard to judge, where that is also a large part of the project. */
    static final double OVERLONG_DAYS = 60;

    static final double OVERLONG_SHARE = 0.1;
    static final int LEAST_TO_BE_EVEN = 20;
    static final double EVEN_SHARE = 0.5;

    private final Plan plan;
    private final Network network;
    private final Schedule schedule;
    private final List<Finding> findings = new ArrayList<>();

    private PlanCheck(Network network, Schedule schedule) {
        this.network = network;
        this.schedule = schedule;
        plan = network.plan();
    }

    /** Everything that is found, check by check, in the plan's order. */
    public static List<Finding> of(Network network, Schedule schedule) {
        PlanCheck check = new PlanCheck(network, schedule);
        new LogicChecks(network, schedule, check::found).run();
        new DateChecks(network, check::found).run();
        check.durations();
        if (check.plan.project().targets().finish().isEmpty()) {
            check.found(Check.NO_TARGET, Plan.PROJECT, "the project has no target finish", Optional.empty());
        }
        check.findings.sort((a, b) -> a.check().compareTo(b.check()));
        return List.copyOf(check.findings);
    }

    /** Where checks tell what they find. */
    interface Found {
        void add(Check check, String on, String message, Optional<Fix> fix);
    }

    private void found(Check check, String on, String message, Optional<Fix> fix) {
        findings.add(new Finding(check, on, message, fix, Acceptance.of(plan, check, on, message)));
    }

    private void durations() {
        double span = network.frame().work(schedule.finish());
        for (ScheduledActivity row : schedule.activities()) {
            int i = network.position(row.id());
            Activity activity = network.activity(i);
            if (row.totalFloat() < -1e-6) {
                found(
                        Check.MISSED_CONSTRAINT,
                        row.id(),
                        "it is " + days(-row.totalFloat(), activity) + " too late for a date that is fixed after it",
                        Optional.empty());
            }
            double minutes = network.planned(i);
            boolean ahead = !network.work(i).isFinished() && activity.kind() == ActivityKind.TASK;
            if (ahead && minutes > OVERLONG_DAYS * day(activity) && minutes > OVERLONG_SHARE * span) {
                found(
                        Check.OVERLONG,
                        row.id(),
                        activity.duration() + " in one piece, " + Math.round(100 * minutes / span)
                                + " % of the project",
                        Optional.empty());
            }
        }
        even();
    }

    private void even() {
        Map<WorkDuration, Long> counts = plan.activities().stream()
                .filter(a -> a.kind() == ActivityKind.TASK)
                .collect(Collectors.groupingBy(Activity::duration, Collectors.counting()));
        long all = counts.values().stream().mapToLong(Long::longValue).sum();
        counts.entrySet().stream()
                .filter(e -> all >= LEAST_TO_BE_EVEN && e.getValue() > EVEN_SHARE * all)
                .forEach(e -> found(
                        Check.EVEN_DURATIONS,
                        Plan.PROJECT,
                        e.getValue() + " of " + all + " activities last " + e.getKey(),
                        Optional.empty()));
    }

    private double day(Activity activity) {
        return activity.minutesPerDay(network.calendar(network.position(activity.id())));
    }

    private String days(double minutes, Activity activity) {
        return WorkDuration.days(Math.round(10 * minutes / day(activity)) / 10.0)
                .toString();
    }
}
