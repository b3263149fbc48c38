package app.tychon.core.schedule;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Activity;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Constraint;
import app.tychon.core.model.LagCalendar;
import app.tychon.core.model.Link;
import app.tychon.core.model.Plan;
import java.time.DayOfWeek;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * A second, slow and plain way to schedule one iteration: dates by repeated relaxation, calendars by day loops. It
 * shares nothing with the engine but the model. A start held by a finish link is found by searching for the latest start
 * that ends no later than needed.
 */
final class SlowSchedule {
    private static final SlowCalendar CLOCK = new SlowCalendar(new CalendarDefinition(
            "clock",
            "Clock",
            24,
            Arrays.stream(DayOfWeek.values())
                    .collect(Collectors.toMap(d -> d, d -> List.of(new app.tychon.core.model.Shift(0, 1440)))),
            List.of()));

    private final Plan plan;
    private final Map<String, Double> durations;
    final Map<String, Double> start = new HashMap<>();
    final Map<String, Double> finish = new HashMap<>();

    SlowSchedule(Plan plan, Map<String, Double> durations) {
        this.plan = plan;
        this.durations = durations;
        int settled = 0;
        while (settled < plan.activities().size()) {
            settled = 0;
            for (Activity activity : plan.activities()) {
                if (!start.containsKey(activity.id()) && isReady(activity)) {
                    place(activity);
                }
                settled += start.containsKey(activity.id()) ? 1 : 0;
            }
        }
    }

    private boolean isReady(Activity activity) {
        return plan.links().stream()
                .filter(l -> l.to().equals(activity.id()))
                .allMatch(l -> start.containsKey(l.from()));
    }

    private void place(Activity activity) {
        SlowCalendar calendar = calendarOf(activity);
        double duration = durations.get(activity.id());
        double startNeeded = calendar.nextWork(Instants.of(plan.project().start()));
        double finishNeeded = Double.NEGATIVE_INFINITY;
        if (activity.constraint().isPresent()) {
            Constraint constraint = activity.constraint().get();
            double date = Instants.of(constraint.date());
            switch (constraint.type()) {
                case START_NO_EARLIER, START_ON -> startNeeded = Math.max(startNeeded, date);
                case FINISH_NO_EARLIER, FINISH_ON -> finishNeeded = date;
                default -> {
                    // No later than: never pulls work earlier.
                }
            }
        }
        for (Link link : plan.links()) {
            if (!link.to().equals(activity.id())) {
                continue;
            }
            double reached = lagged(link);
            switch (link.type()) {
                case FS, SS -> startNeeded = Math.max(startNeeded, reached);
                case FF, SF -> finishNeeded = Math.max(finishNeeded, reached);
            }
        }
        if (duration == 0) {
            start.put(activity.id(), Math.max(startNeeded, finishNeeded));
            finish.put(activity.id(), Math.max(startNeeded, finishNeeded));
            return;
        }
        double begin = calendar.nextWork(startNeeded);
        if (calendar.plus(begin, duration) < finishNeeded) {
            begin = Math.max(begin, calendar.nextWork(calendar.minus(finishNeeded, duration)));
        }
        start.put(activity.id(), begin);
        finish.put(activity.id(), calendar.plus(begin, duration));
    }

    private double lagged(Link link) {
        double source =
                link.type() == app.tychon.core.model.LinkType.FS || link.type() == app.tychon.core.model.LinkType.FF
                        ? finish.get(link.from())
                        : start.get(link.from());
        Activity owner = activity(plan.project().lagCalendar() == LagCalendar.SUCCESSOR ? link.to() : link.from());
        boolean clock = link.lag().isElapsed() || plan.project().lagCalendar() == LagCalendar.ELAPSED;
        SlowCalendar calendar = clock ? CLOCK : new SlowCalendar(definition(owner));
        double minutes = link.lag().minutes(definition(owner));
        if (minutes == 0) {
            return source;
        }
        return minutes > 0 ? calendar.plus(source, minutes) : calendar.minus(source, -minutes);
    }

    private SlowCalendar calendarOf(Activity activity) {
        return activity.duration().isElapsed() ? CLOCK : new SlowCalendar(definition(activity));
    }

    private Activity activity(String id) {
        return plan.activities().stream()
                .filter(a -> a.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private CalendarDefinition definition(Activity activity) {
        return plan.calendars().stream()
                .filter(c -> c.id().equals(activity.calendar()))
                .findFirst()
                .orElseThrow();
    }
}
