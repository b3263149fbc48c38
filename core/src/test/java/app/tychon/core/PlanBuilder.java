package app.tychon.core;

import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.Assignment;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.CalendarException;
import app.tychon.core.model.Constraint;
import app.tychon.core.model.Correlation;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Escalation;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Evidence;
import app.tychon.core.model.Funding;
import app.tychon.core.model.Grade;
import app.tychon.core.model.LagCalendar;
import app.tychon.core.model.Link;
import app.tychon.core.model.LinkType;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Progress;
import app.tychon.core.model.Project;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Shape;
import app.tychon.core.model.Shift;
import app.tychon.core.model.Targets;
import app.tychon.core.model.WbsNode;
import app.tychon.core.model.WorkDuration;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Small plans in a few words, for tests. All start on Monday 1 March 2027 at 08:00 in an eight-hour, five-day week. */
public final class PlanBuilder {
    public static final LocalDateTime START = LocalDateTime.of(2027, 3, 1, 8, 0);

    private final List<CalendarDefinition> calendars = new ArrayList<>();
    private final List<WbsNode> wbs = new ArrayList<>();
    private final List<Activity> activities = new ArrayList<>();
    private final List<Link> links = new ArrayList<>();
    private final List<CostLine> costs = new ArrayList<>();
    private final List<Grade> grades = new ArrayList<>();
    private final List<Correlation> correlations = new ArrayList<>();
    private final List<Resource> resources = new ArrayList<>();
    private final List<Assignment> assignments = new ArrayList<>();
    private final List<Risk> risks = new ArrayList<>();
    private final List<Evidence> evidence = new ArrayList<>();
    private final List<Escalation> escalation = new ArrayList<>();
    private final List<Funding> funding = new ArrayList<>();
    private Optional<LocalDateTime> dataDate = Optional.empty();
    private LagCalendar lagCalendar = LagCalendar.PREDECESSOR;

    public PlanBuilder() {
        calendars.add(fiveDayWeek("std"));
        wbs.add(new WbsNode("W", Optional.empty(), "1", "All work", Optional.empty()));
    }

    public static CalendarDefinition fiveDayWeek(String id, CalendarException... exceptions) {
        Map<DayOfWeek, List<Shift>> week = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            if (day.getValue() <= 5) {
                week.put(day, List.of(new Shift(8 * 60, 12 * 60), new Shift(13 * 60, 17 * 60)));
            }
        }
        return new CalendarDefinition(id, "Five-day week", 8, week, List.of(exceptions));
    }

    public static CalendarException closure(String from, String to) {
        return new CalendarException(LocalDate.parse(from), LocalDate.parse(to), "Closure", List.of());
    }

    public PlanBuilder calendar(CalendarDefinition calendar) {
        calendars.removeIf(c -> c.id().equals(calendar.id()));
        calendars.add(calendar);
        return this;
    }

    public PlanBuilder lagCalendar(LagCalendar calendar) {
        lagCalendar = calendar;
        return this;
    }

    public PlanBuilder branch(String id, String parent) {
        wbs.add(new WbsNode(id, Optional.ofNullable(parent), id, "Branch " + id, Optional.empty()));
        return this;
    }

    public PlanBuilder task(String id, double days) {
        return task(id, "W", "std", WorkDuration.days(days), null);
    }

    public PlanBuilder task(String id, double days, Shape shape) {
        return task(id, "W", "std", WorkDuration.days(days), shape);
    }

    public PlanBuilder task(String id, String branch, String calendar, WorkDuration duration, Shape shape) {
        return activity(Activity.of(id, branch, "Task " + id, ActivityKind.TASK, duration, calendar)
                .withEstimate(Optional.ofNullable(shape).map(s -> new Estimate(s, Basis.DAYS))));
    }

    public PlanBuilder milestone(String id) {
        return activity(Activity.of(id, "W", "Milestone " + id, ActivityKind.MILESTONE, WorkDuration.ZERO, "std"));
    }

    /** A hammock from the start of one activity to the finish of another. */
    public PlanBuilder hammock(String id, String opens, String closes) {
        link(opens, id, LinkType.SS, "0d");
        link(closes, id, LinkType.FF, "0d");
        return activity(Activity.of(id, "W", "Hammock " + id, ActivityKind.HAMMOCK, WorkDuration.ZERO, "std"));
    }

    public PlanBuilder activity(Activity activity) {
        activities.add(activity);
        return this;
    }

    /** Holds the activity added last. */
    public PlanBuilder constraint(Constraint constraint) {
        return last(a -> a.withConstraint(Optional.of(constraint)));
    }

    /** Changes the activity added last. */
    public PlanBuilder last(UnaryOperator<Activity> change) {
        activities.add(change.apply(activities.remove(activities.size() - 1)));
        return this;
    }

    public PlanBuilder dataDate(String date) {
        dataDate = Optional.of(LocalDateTime.parse(date));
        return this;
    }

    /** The activity added last has started, and finished where there is a finish. */
    public PlanBuilder actual(String start, String finish, String remaining) {
        return last(a -> a.withProgress(new Progress(
                Optional.of(LocalDateTime.parse(start)),
                Optional.ofNullable(finish).map(LocalDateTime::parse),
                Optional.ofNullable(remaining).flatMap(WorkDuration::parse))));
    }

    public PlanBuilder grade(String id, Shape factors) {
        grades.add(new Grade(id, "Grade " + id, factors, id, ""));
        return this;
    }

    /** Gives a branch a grade. */
    public PlanBuilder graded(String branch, String grade) {
        wbs.replaceAll(b -> b.id().equals(branch) ? b.withGrade(Optional.of(grade)) : b);
        return this;
    }

    public PlanBuilder correlation(Correlation correlation) {
        correlations.add(correlation);
        return this;
    }

    public PlanBuilder resource(String id, double rate, Resource.Per per) {
        resources.add(new Resource(id, "Resource " + id, rate, per));
        return this;
    }

    public PlanBuilder assign(String activity, String resource, double units) {
        assignments.add(new Assignment(activity, resource, units));
        return this;
    }

    public PlanBuilder risk(Risk risk) {
        risks.add(risk);
        return this;
    }

    public PlanBuilder evidence(Evidence one) {
        evidence.add(one);
        return this;
    }

    public PlanBuilder link(String from, String to) {
        return link(from, to, LinkType.FS, "0d");
    }

    public PlanBuilder link(String from, String to, LinkType type, String lag) {
        links.add(new Link(from, to, type, WorkDuration.parse(lag).orElseThrow()));
        return this;
    }

    public PlanBuilder cost(String id, String on, double amount, double fixedShare, Shape factor) {
        return cost(CostLine.of(id, "Cost " + id, on, amount)
                .withFixedShare(fixedShare)
                .withEstimate(Optional.ofNullable(factor).map(s -> new Estimate(s, Basis.FACTOR))));
    }

    public PlanBuilder cost(CostLine line) {
        costs.add(line);
        return this;
    }

    public PlanBuilder resource(Resource resource) {
        resources.add(resource);
        return this;
    }

    public PlanBuilder escalation(String category, Shape perYear) {
        escalation.add(new Escalation(category, perYear));
        return this;
    }

    public PlanBuilder funding(String date, double amount) {
        funding.add(new Funding(LocalDate.parse(date), amount, ""));
        return this;
    }

    public Plan build() {
        Project project = new Project("p", "Test plan", "EUR", START, dataDate, "std", lagCalendar, Targets.NONE);
        return new Plan(
                project,
                calendars,
                wbs,
                activities,
                links,
                grades,
                correlations,
                resources,
                assignments,
                costs,
                risks,
                List.of(),
                evidence,
                Optional.empty(),
                escalation,
                funding,
                List.of(),
                List.of(),
                List.of());
    }
}
