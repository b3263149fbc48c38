package app.tychon.core.scenario;

import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.calendar.WorkingTimes;
import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.Assignment;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Estimates;
import app.tychon.core.model.Grade;
import app.tychon.core.model.Plan;
import app.tychon.core.uncertainty.Distribution;
import app.tychon.core.uncertainty.EstimateSpread;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * Where what really happened fell in the ranges that were given for it: working time of finished activities, money of cost
 * lines of which nothing is to go. If ranges are right, the chances spread evenly from 0 to 1 (the probability integral
 * transform; Dawid, "Statistical theory: the prequential approach", 1984).
 */
public final class TrackRecord {
    private final Plan plan;
    private final Map<String, WorkingTime> times = new HashMap<>();
    private final Map<Plan, Given> given = new IdentityHashMap<>();

    private TrackRecord(Plan plan) {
        this.plan = plan;
        plan.calendars()
                .forEach(calendar -> times.put(
                        calendar.id(),
                        WorkingTimes.of(calendar, plan.project().start().toLocalDate())));
    }

    /** What a range was given for. */
    public enum Kind {
        DURATION,
        COST
    }

    /** A plan in which ranges are looked up, by id. */
    private record Given(Estimates estimates, Map<String, Activity> activities, Map<String, CostLine> lines) {
        static Given of(Plan plan) {
            Map<String, Activity> activities = new HashMap<>();
            plan.activities().forEach(one -> activities.put(one.id(), one));
            Map<String, CostLine> lines = new HashMap<>();
            plan.costs().forEach(one -> lines.put(one.id(), one));
            return new Given(Estimates.of(plan), activities, lines);
        }
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

    /** Everything that is over and has a range, in the order of the plan, against the plan's own ranges. */
    public static List<Fact> of(Plan plan) {
        return of(plan, id -> plan);
    }

    /**
     * The same against ranges of the past, which nobody could fit to what happened.
     *
     * @param given by id of an activity or a cost line, the plan in which its range is looked up; one without it has no range
     */
    public static List<Fact> of(Plan plan, Function<String, Plan> given) {
        TrackRecord record = new TrackRecord(plan);
        List<Fact> facts = new ArrayList<>();
        plan.activities().forEach(activity -> record.fact(activity, given.apply(activity.id()))
                .ifPresent(facts::add));
        plan.costs().forEach(line -> record.fact(line, given.apply(line.id())).ifPresent(facts::add));
        return facts;
    }

    private Optional<Fact> fact(Activity activity, Plan given) {
        if (activity.kind() != ActivityKind.TASK
                || !activity.progress().isFinished()
                || activity.progress().actualStart().isEmpty()) {
            return Optional.empty();
        }
        Given then = given(given);
        return Optional.ofNullable(then.activities().get(activity.id()))
                .filter(one -> one.kind() == ActivityKind.TASK)
                .filter(one -> one.duration().minutes(given.calendarOf(one)) > 0)
                .flatMap(one -> then.estimates()
                        .of(one)
                        .map(estimate -> fact(
                                Kind.DURATION,
                                activity.id(),
                                activity.name(),
                                EstimateSpread.of(one, Optional.of(estimate), given.calendarOf(one)),
                                worked(activity) / one.minutesPerDay(given.calendarOf(one)),
                                one.estimate().isPresent()
                                        ? Optional.empty()
                                        : then.estimates().gradeOf(one).map(Grade::id),
                                activity.wbs(),
                                plan.assignments().stream()
                                        .filter(its -> its.activity().equals(activity.id()))
                                        .map(Assignment::resource)
                                        .toList())));
    }

    /** Minutes from actual start to actual finish, in its own working time. */
    private double worked(Activity activity) {
        double start = Instants.of(activity.progress().actualStart().orElseThrow());
        double finish = Instants.of(activity.progress().actualFinish().orElseThrow());
        WorkingTime time = times.get(activity.calendar());
        return activity.duration().isElapsed() ? finish - start : time.work(finish) - time.work(start);
    }

    private Optional<Fact> fact(CostLine line, Plan given) {
        boolean paid = line.spent().isPresent()
                && line.toGo().filter(money -> money == 0).isPresent();
        if (!paid) {
            return Optional.empty();
        }
        Given then = given(given);
        return Optional.ofNullable(then.lines().get(line.id()))
                .filter(one -> one.amount() > 0)
                .flatMap(one -> then.estimates()
                        .of(one)
                        .map(estimate -> fact(
                                Kind.COST,
                                line.id(),
                                line.name(),
                                EstimateSpread.of(one, Optional.of(estimate)),
                                line.spent().orElseThrow(),
                                one.estimate().isPresent()
                                        ? Optional.empty()
                                        : then.estimates().gradeOf(one).map(Grade::id),
                                plan.activities().stream()
                                        .filter(activity -> activity.id().equals(line.on()))
                                        .map(Activity::wbs)
                                        .findFirst()
                                        .orElse(line.on()),
                                List.of())));
    }

    private Given given(Plan plan) {
        return given.computeIfAbsent(plan, Given::of);
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
