package app.tychon.core.schedule.check;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Activity;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.LagCalendar;
import app.tychon.core.model.Link;
import app.tychon.core.model.LinkType;
import app.tychon.core.model.WorkDuration;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Schedule;
import app.tychon.core.schedule.Schedule.ScheduledActivity;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/** Whether the logic is complete and carries delays onward, link by link. Hammocks drive nothing and are left out. */
final class LogicChecks {
    private static final double LONG_LAG_DAYS = 20;

    private final Network network;
    private final Schedule schedule;
    private final PlanCheck.Found found;
    private final Map<String, List<Link>> into = new HashMap<>();
    private final Map<String, List<Link>> outOf = new HashMap<>();
    private final Map<String, ScheduledActivity> dates = new HashMap<>();

    LogicChecks(Network network, Schedule schedule, PlanCheck.Found found) {
        this.network = network;
        this.schedule = schedule;
        this.found = found;
        schedule.activities().forEach(row -> dates.put(row.id(), row));
        for (Link link : network.plan().links()) {
            if (!isHammock(link.from()) && !isHammock(link.to())) {
                into.computeIfAbsent(link.to(), id -> new ArrayList<>()).add(link);
                outOf.computeIfAbsent(link.from(), id -> new ArrayList<>()).add(link);
            }
        }
    }

    private boolean isHammock(String id) {
        return network.isHammock(network.position(id));
    }

    void run() {
        openEnds();
        dangling();
        links();
    }

    /** One open start and one open finish are the plan's own. */
    private void openEnds() {
        List<Activity> starts = open(into, a -> !a.progress().hasStarted());
        List<Activity> finishes = open(outOf, a -> !a.progress().isFinished());
        double begin = Instants.of(network.plan().project().start());
        Optional<Activity> first = own(starts, a -> dates.get(a.id()).earlyStart() <= begin + Instants.DAY);
        Optional<Activity> last = own(finishes, a -> dates.get(a.id()).earlyFinish() >= schedule.finish());
        starts.stream().filter(a -> !Optional.of(a).equals(first)).forEach(a -> {
            boolean safe = first.filter(Activity::isMilestone).isPresent()
                    && a.constraint().isEmpty();
            found.add(
                    Check.OPEN_START, a.id(), "nothing comes before it", safe ? tie(first.get(), a) : Optional.empty());
        });
        finishes.stream().filter(a -> !Optional.of(a).equals(last)).forEach(a -> {
            boolean safe = last.filter(Activity::isMilestone).isPresent();
            found.add(
                    Check.OPEN_FINISH, a.id(), "nothing comes after it", safe ? tie(a, last.get()) : Optional.empty());
        });
    }

    private List<Activity> open(Map<String, List<Link>> links, Predicate<Activity> counts) {
        return network.plan().activities().stream()
                .filter(a -> !a.isHammock() && !links.containsKey(a.id()) && counts.test(a))
                .toList();
    }

    /** A milestone that stands at the end of the plan, or else whatever does. */
    private static Optional<Activity> own(List<Activity> open, Predicate<Activity> atTheEnd) {
        return open.stream()
                .filter(a -> a.isMilestone() && atTheEnd.test(a))
                .findFirst()
                .or(() -> open.stream().filter(atTheEnd).findFirst());
    }

    private static Optional<Fix> tie(Activity from, Activity to) {
        return Optional.of(new Fix(List.of(), List.of(new Link(from.id(), to.id(), LinkType.FS, WorkDuration.ZERO))));
    }

    private void dangling() {
        for (Activity activity : network.plan().activities()) {
            List<Link> before = into.getOrDefault(activity.id(), List.of());
            List<Link> after = outOf.getOrDefault(activity.id(), List.of());
            boolean ahead = !activity.isMilestone() && !activity.progress().isFinished();
            if (ahead
                    && !activity.progress().hasStarted()
                    && none(before, l -> l.type().toStart())) {
                found.add(
                        Check.DANGLING_START,
                        activity.id(),
                        "its predecessors hold its finish only, not its start",
                        Optional.empty());
            }
            if (ahead && none(after, l -> l.type().fromFinish())) {
                found.add(
                        Check.DANGLING_FINISH,
                        activity.id(),
                        "its successors wait for its start only, not for its finish",
                        Optional.empty());
            }
        }
    }

    private static boolean none(List<Link> links, Predicate<Link> such) {
        return !links.isEmpty() && links.stream().noneMatch(such);
    }

    private void links() {
        Set<List<Object>> seen = new HashSet<>();
        Set<Link> same = new HashSet<>();
        for (Link link : network.plan().links()) {
            String text = link.from() + " " + link.type() + " " + link.lag();
            if (link.lag().amount() < 0) {
                found.add(Check.LEAD, link.to(), "it overlaps its predecessor by a lead: " + text, Optional.empty());
            }
            if (lagDays(link) > LONG_LAG_DAYS) {
                found.add(
                        Check.LONG_LAG,
                        link.to(),
                        "it waits " + link.lag() + " after " + link.from(),
                        Optional.empty());
            }
            boolean exact = !same.add(link);
            if (!seen.add(List.of(link.from(), link.to(), link.type()))) {
                found.add(
                        Check.DUPLICATE_LINK,
                        link.to(),
                        "it is linked to " + link.from() + " twice by " + link.type(),
                        exact ? Optional.of(new Fix(List.of(link), List.of())) : Optional.empty());
            }
        }
    }

    private double lagDays(Link link) {
        boolean successor = network.plan().project().lagCalendar() == LagCalendar.SUCCESSOR;
        CalendarDefinition calendar = network.calendar(network.position(successor ? link.to() : link.from()));
        boolean clock = link.lag().isElapsed() || network.plan().project().lagCalendar() == LagCalendar.ELAPSED;
        return clock
                ? link.lag().clockMinutes() / Instants.DAY
                : link.lag().minutes(calendar) / (calendar.hoursPerDay() * 60);
    }
}
