package app.tychon.core.scenario;

import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.calendar.WorkingTimes;
import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.Assignment;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Estimates;
import app.tychon.core.model.Grade;
import app.tychon.core.model.Plan;
import app.tychon.core.uncertainty.Distribution;
import app.tychon.core.uncertainty.EstimateSpread;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Where what really happened fell in the ranges that the plan has for it: working time of finished activities, money of cost
 * lines of which nothing is to go. If ranges are right, the chances spread evenly from 0 to 1 (the probability integral
 * transform; Dawid, "Statistical theory: the prequential approach", 1984).
 */
public final class TrackRecord {
    private TrackRecord() {}

    /** What a range was given for. */
    public enum Kind {
        DURATION,
        COST
    }

    /**
     * One finished piece of work, or one line that is paid.
     *
     * @param planned   working days of its own calendar, or money
     * @param actual    likewise
     * @param chance    of what happened or less in its range, 0 to 1
     * @param belowEnd  whether it lies below everything the range allows
     * @param beyondEnd whether it lies beyond it
     * @param grade     id of the grade the range comes from; nothing where it has an estimate of its own
     * @param branch    id of the branch it lies in; {@link Plan#PROJECT} for the project as a whole
     * @param resources ids of those who worked on it
     */
    public record Fact(
            Kind kind,
            String id,
            String name,
            double planned,
            double actual,
            double chance,
            boolean belowEnd,
            boolean beyondEnd,
            Optional<String> grade,
            String branch,
            List<String> resources) {
        /** Actual by planned. */
        public double ratio() {
            return actual / planned;
        }
    }

    /** Everything that is over and had a range, in the order of the plan. */
    public static List<Fact> of(Plan plan) {
        List<Fact> facts = new ArrayList<>();
        Estimates estimates = Estimates.of(plan);
        Map<String, WorkingTime> times = new HashMap<>();
        plan.calendars()
                .forEach(calendar -> times.put(
                        calendar.id(),
                        WorkingTimes.of(calendar, plan.project().start().toLocalDate())));
        plan.activities().forEach(activity -> estimates
                .of(activity)
                .flatMap(estimate -> fact(plan, estimates, activity, estimate, times))
                .ifPresent(facts::add));
        plan.costs().forEach(line -> estimates
                .of(line)
                .flatMap(estimate -> fact(plan, estimates, line, estimate))
                .ifPresent(facts::add));
        return facts;
    }

    private static Optional<Fact> fact(
            Plan plan, Estimates estimates, Activity activity, Estimate estimate, Map<String, WorkingTime> times) {
        CalendarDefinition calendar = plan.calendarOf(activity);
        double planned = activity.duration().minutes(calendar);
        if (activity.kind() != ActivityKind.TASK
                || !activity.progress().isFinished()
                || activity.progress().actualStart().isEmpty()
                || planned <= 0) {
            return Optional.empty();
        }
        double start = Instants.of(activity.progress().actualStart().get());
        double finish = Instants.of(activity.progress().actualFinish().orElseThrow());
        WorkingTime time = times.get(calendar.id());
        double worked = activity.duration().isElapsed() ? finish - start : time.work(finish) - time.work(start);
        return Optional.of(fact(
                Kind.DURATION,
                activity.id(),
                activity.name(),
                EstimateSpread.of(activity, Optional.of(estimate), calendar),
                worked / activity.minutesPerDay(calendar),
                activity.estimate().isPresent()
                        ? Optional.empty()
                        : estimates.gradeOf(activity).map(Grade::id),
                activity.wbs(),
                plan.assignments().stream()
                        .filter(one -> one.activity().equals(activity.id()))
                        .map(Assignment::resource)
                        .toList()));
    }

    private static Optional<Fact> fact(Plan plan, Estimates estimates, CostLine line, Estimate estimate) {
        boolean paid = line.spent().isPresent()
                && line.toGo().filter(money -> money == 0).isPresent();
        if (!paid || line.amount() <= 0) {
            return Optional.empty();
        }
        return Optional.of(fact(
                Kind.COST,
                line.id(),
                line.name(),
                EstimateSpread.of(line, Optional.of(estimate)),
                line.spent().get(),
                line.estimate().isPresent()
                        ? Optional.empty()
                        : estimates.gradeOf(line).map(Grade::id),
                plan.activities().stream()
                        .filter(activity -> activity.id().equals(line.on()))
                        .map(Activity::wbs)
                        .findFirst()
                        .orElse(line.on()),
                List.of()));
    }

    private static Fact fact(
            Kind kind,
            String id,
            String name,
            EstimateSpread given,
            double actual,
            Optional<String> grade,
            String branch,
            List<String> resources) {
        Distribution range = given.distribution();
        return new Fact(
                kind,
                id,
                name,
                given.planned(),
                actual,
                range.cumulative(actual),
                actual < range.low(),
                actual > range.high(),
                grade,
                branch,
                resources);
    }
}
