package app.tychon.core.schedule;

import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.calendar.WorkingTimes;
import app.tychon.core.model.Activity;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Impact;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.LagCalendar;
import app.tychon.core.model.Link;
import app.tychon.core.model.LinkType;
import app.tychon.core.model.Parts;
import app.tychon.core.model.Plan;
import app.tychon.core.model.PlanRules;
import app.tychon.core.model.Problem;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * The activities and links of a plan as arrays in topological order, ready for passes over many iterations at once.
 *
 * <p>Positions count activities in that order: every link leads from a lower position to a higher one. Links are kept
 * with their successor; those that lead into position {@code i} are {@code firstIn(i)} to {@code firstIn(i + 1) - 1}.
 */
public final class Network {
    private final List<Activity> activities;
    private final Map<String, Integer> positions;
    private final WorkingTime[] times;
    private final double[] planned;
    private final Work[] works;
    private final int[] firstIn;
    private final int[] from;
    private final int[] planLinks;
    private final LinkType[] types;
    private final double[] lags;
    private final WorkingTime[] lagTimes;
    private final Map<String, CalendarDefinition> definitions;
    private final Map<String, Frame> frames = new HashMap<>();
    private final Parts parts;
    private final Plan plan;
    private final Branches branches;

    private Network(Plan plan, List<Activity> ordered) {
        this.plan = plan;
        activities = ordered;
        Map<String, CalendarDefinition> definitions = new HashMap<>();
        this.definitions = definitions;
        Map<String, WorkingTime> calendars = new HashMap<>();
        parts = Parts.of(plan);
        for (CalendarDefinition calendar : plan.calendars()) {
            definitions.put(calendar.id(), calendar);
            LocalDate start = parts.of(calendar.id()).start().toLocalDate();
            calendars.put(calendar.id(), WorkingTimes.of(calendar, start));
        }
        addFrame(Plan.PROJECT, calendars);
        plan.parts().forEach(part -> addFrame(part.root(), calendars));
        int n = ordered.size();
        positions = new HashMap<>();
        times = new WorkingTime[n];
        planned = new double[n];
        works = new Work[n];
        for (int i = 0; i < n; i++) {
            Activity activity = ordered.get(i);
            positions.put(activity.id(), i);
            Frame frame = frame(activity.id());
            times[i] = activity.duration().isElapsed() ? frame.clock() : calendars.get(activity.calendar());
            planned[i] = activity.duration().minutes(definitions.get(activity.calendar()));
            works[i] = Work.of(activity, definitions.get(activity.calendar()), times[i], frame.earliest());
        }
        List<List<Arrow>> incoming = incoming(plan, n);
        int links = plan.links().size();
        firstIn = new int[n + 1];
        from = new int[links];
        planLinks = new int[links];
        types = new LinkType[links];
        lags = new double[links];
        lagTimes = new WorkingTime[links];
        int at = 0;
        for (int i = 0; i < n; i++) {
            firstIn[i] = at;
            for (Arrow arrow : incoming.get(i)) {
                Link link = arrow.link();
                from[at] = positions.get(arrow.from());
                planLinks[at] = arrow.index();
                types[at] = arrow.type();
                String calendar = lagCalendarOf(link);
                double lag = runsInClockTime(link)
                        ? link.lag().clockMinutes()
                        : link.lag().minutes(definitions.get(calendar));
                lags[at] = arrow.forward() ? lag : -lag;
                lagTimes[at] = runsInClockTime(link) ? frame(link.from()).clock() : calendars.get(calendar);
                at++;
            }
        }
        firstIn[n] = at;
        branches = new Branches(this);
    }

    private void addFrame(String id, Map<String, WorkingTime> calendars) {
        frames.put(parts.of(id).code(), Frame.of(parts.of(id), calendars, definitions));
    }

    /**
     * @throws InvalidPlanException with every problem of the plan, loops in its logic included
     */
    public static Network of(Plan plan) {
        List<Problem> problems = PlanRules.problems(plan);
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        TopologicalOrder order = TopologicalOrder.of(plan);
        if (!order.loops().isEmpty()) {
            throw new InvalidPlanException(order.loops());
        }
        return new Network(plan, order.activities());
    }

    private List<List<Arrow>> incoming(Plan plan, int n) {
        List<List<Arrow>> incoming = new ArrayList<>(n);
        for (int i = 0; i < n; i++) {
            incoming.add(new ArrayList<>(2));
        }
        Arrow.of(plan).forEach(arrow -> incoming.get(positions.get(arrow.to())).add(arrow));
        return incoming;
    }

    private String lagCalendarOf(Link link) {
        boolean successor = parts.of(link.from()).lagCalendar() == LagCalendar.SUCCESSOR;
        return activities
                .get(positions.get(successor ? link.to() : link.from()))
                .calendar();
    }

    private boolean runsInClockTime(Link link) {
        return link.lag().isElapsed() || parts.of(link.from()).lagCalendar() == LagCalendar.ELAPSED;
    }

    /** The plan's own link that a link of the network came from. */
    Link planLink(int link) {
        return plan.links().get(planLinks[link]);
    }

    public Plan plan() {
        return plan;
    }

    public int size() {
        return activities.size();
    }

    public Activity activity(int position) {
        return activities.get(position);
    }

    /** Where an activity stands; the id must be one of the plan's. */
    public int position(String id) {
        return positions.get(id);
    }

    /** The time map in which the activity's duration runs. */
    public WorkingTime time(int position) {
        return times[position];
    }

    /** What holds for the plan as a whole. */
    public Frame frame() {
        return frame(Plan.PROJECT);
    }

    public WorkingTime projectTime() {
        return frame().time();
    }

    /** What holds for the whole project that something belongs to, by its id. */
    public Frame frame(String id) {
        return frames.get(parts.of(id).code());
    }

    /** By what the random numbers of prices of a category are drawn. */
    public String identityOfCategory(String category) {
        return parts.identityOfCategory(category);
    }

    /** By what the random numbers of something are drawn. */
    public String identity(String id) {
        return parts.identity(id);
    }

    /** Planned duration in minutes of the activity's time map. */
    public double planned(int position) {
        return planned[position];
    }

    /** What of an activity is history and what is still to be worked. */
    public Work work(int position) {
        return works[position];
    }

    /** Duration without uncertainty: as it was, where it is history; as planned, else. */
    public double expected(int position) {
        Work work = works[position];
        return work.done() + work.remaining();
    }

    public boolean isHammock(int position) {
        return activities.get(position).isHammock();
    }

    /** What lies beneath each branch of the work breakdown. */
    public Branches branches() {
        return branches;
    }

    /**
     * Positions that an effect on time on an activity, a branch, the project or a resource strikes: of a resource, the
     * work that uses it. On a branch, added time extends its exits only, so that it counts once. What is history and
     * hammocks are spared.
     */
    public int[] targets(String on, Impact.Effect effect) {
        int[] targets;
        if (isActivity(on)) {
            targets = new int[] {position(on)};
        } else if (!branches.isBranch(on)) {
            targets = usersOf(on);
        } else {
            targets = effect.isScale() ? branches.beneath(on) : branches.exits(on);
        }
        return Arrays.stream(targets)
                .filter(i -> !isHammock(i) && !works[i].isFinished())
                .toArray();
    }

    /** Positions of the activities that use a resource. */
    public int[] usersOf(String resource) {
        return plan.assignments().stream()
                .filter(a -> a.resource().equals(resource))
                .mapToInt(a -> position(a.activity()))
                .distinct()
                .toArray();
    }

    /** Whether an id is that of an activity. */
    public boolean isActivity(String id) {
        return positions.containsKey(id);
    }

    /**
     * Whether an activity, a branch or the project is finished work, which nothing strikes: a hammock with all that closes
     * it, a branch with all work beneath it.
     */
    public boolean isHistory(String on) {
        if (branches.isBranch(on)) {
            int[] work = Arrays.stream(branches.beneath(on))
                    .filter(i -> !isHammock(i))
                    .toArray();
            return work.length > 0 && Arrays.stream(work).allMatch(i -> works[i].isFinished());
        }
        int position = position(on);
        if (!isHammock(position)) {
            return works[position].isFinished();
        }
        int[] closing = IntStream.range(firstIn[position], firstIn[position + 1])
                .filter(link -> !types[link].toStart())
                .map(link -> from[link])
                .toArray();
        return closing.length > 0 && Arrays.stream(closing).allMatch(i -> works[i].isFinished());
    }

    /** The calendar an activity is worked in. */
    public CalendarDefinition calendar(int position) {
        return definitions.get(activities.get(position).calendar());
    }

    public int firstIn(int position) {
        return firstIn[position];
    }

    public boolean hasPredecessors(int position) {
        return firstIn[position] < firstIn[position + 1];
    }

    public int links() {
        return from.length;
    }

    public int from(int link) {
        return from[link];
    }

    public LinkType type(int link) {
        return types[link];
    }

    /** Lag in minutes of {@link #lagTime}. */
    public double lag(int link) {
        return lags[link];
    }

    public WorkingTime lagTime(int link) {
        return lagTimes[link];
    }
}
