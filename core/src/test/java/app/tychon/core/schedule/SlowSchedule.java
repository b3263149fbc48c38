package app.tychon.core.schedule;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Activity;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Constraint;
import app.tychon.core.model.LagCalendar;
import app.tychon.core.model.Link;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Progress;
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
public final class SlowSchedule {
    private static final CalendarDefinition ROUND_THE_CLOCK = new CalendarDefinition(
            "clock",
            "Clock",
            24,
            Arrays.stream(DayOfWeek.values())
                    .collect(Collectors.toMap(d -> d, d -> List.of(new app.tychon.core.model.Shift(0, 1440)))),
            List.of());
    private static final SlowCalendar CLOCK = new SlowCalendar(ROUND_THE_CLOCK);

    private final Plan plan;
    private final Map<String, Double> durations;
    public final Map<String, Double> start = new HashMap<>();
    public final Map<String, Double> finish = new HashMap<>();

    /** @param durations minutes, what is done of them included; those of hammocks and finished work are not looked at */
    public SlowSchedule(Plan plan, Map<String, Double> durations) {
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
                        .filter(l -> l.to().equals(activity.id()) && (activity.isHammock() || !isHammock(l.from())))
                        .allMatch(l -> start.containsKey(l.from()))
                && (!activity.isHammock()
                        || plan.links().stream()
                                .filter(l -> l.from().equals(activity.id()) && !isHammock(l.to()))
                                .allMatch(l -> start.containsKey(l.to())));
    }

    private boolean isHammock(String id) {
        return activity(id).isHammock();
    }

    /** From the earliest of what touches its start to the latest of what touches its finish. */
    private void placeHammock(Activity hammock) {
        double open = Double.POSITIVE_INFINITY;
        double close = Double.NEGATIVE_INFINITY;
        for (Link link : plan.links()) {
            boolean into = link.to().equals(hammock.id());
            boolean outOf = link.from().equals(hammock.id()) && !isHammock(link.to());
            if (!into && !outOf) {
                continue;
            }
            boolean itsStart = into ? startSide(link, false) : startSide(link, true);
            String other = into ? link.from() : link.to();
            boolean othersStart = into ? startSide(link, true) : startSide(link, false);
            double source = othersStart ? start.get(other) : finish.get(other);
            double instant = lagged(link, source, into ? 1 : -1);
            if (itsStart) {
                open = Math.min(open, instant);
            } else {
                close = Math.max(close, instant);
            }
        }
        SlowCalendar calendar = calendarOf(hammock);
        boolean lasts = calendar.between(open, close) > 1e-6;
        start.put(hammock.id(), lasts ? calendar.nextWork(open) : open);
        finish.put(hammock.id(), lasts ? calendar.endOfWork(close) : open);
    }

    private static boolean startSide(Link link, boolean ofPredecessor) {
        return switch (link.type()) {
            case FS -> !ofPredecessor;
            case SS -> true;
            case FF -> false;
            case SF -> ofPredecessor;
        };
    }

    private void place(Activity activity) {
        if (activity.isHammock()) {
            placeHammock(activity);
            return;
        }
        Progress progress = activity.progress();
        if (progress.isFinished()) {
            start.put(activity.id(), Instants.of(progress.actualStart().get()));
            finish.put(activity.id(), Instants.of(progress.actualFinish().get()));
            return;
        }
        SlowCalendar calendar = calendarOf(activity);
        double earliest = Instants.of(plan.project().start());
        if (plan.project().dataDate().isPresent()) {
            earliest = Math.max(earliest, Instants.of(plan.project().dataDate().get()));
        }
        double duration = durations.get(activity.id());
        if (progress.isUnderWay()) {
            duration -= calendar.between(Instants.of(progress.actualStart().get()), earliest);
        }
        double startNeeded = progress.isUnderWay() ? earliest : calendar.nextWork(earliest);
        double finishNeeded = Double.NEGATIVE_INFINITY;
        if (activity.constraint().isPresent()) {
            Constraint constraint = activity.constraint().get();
            double date = Instants.of(constraint.date());
            switch (constraint.type()) {
                case START_NO_EARLIER, START_ON ->
                    startNeeded = progress.isUnderWay() ? startNeeded : Math.max(startNeeded, date);
                case FINISH_NO_EARLIER, FINISH_ON -> finishNeeded = date;
                default -> {
                    // No later than: never pulls work earlier.
                }
            }
        }
        for (Link link : plan.links()) {
            if (!link.to().equals(activity.id()) || isHammock(link.from())) {
                continue;
            }
            double reached = lagged(link);
            switch (link.type()) {
                case FS, SS -> startNeeded = Math.max(startNeeded, reached);
                case FF, SF -> finishNeeded = Math.max(finishNeeded, reached);
            }
        }
        if (Math.abs(duration) < 1e-9) {
            finish.put(activity.id(), Math.max(startNeeded, finishNeeded));
            start.put(activity.id(), begun(activity, finish.get(activity.id())));
            return;
        }
        double begin = calendar.nextWork(startNeeded);
        if (calendar.plus(begin, duration) < finishNeeded) {
            begin = Math.max(begin, calendar.nextWork(calendar.minus(finishNeeded, duration)));
        }
        finish.put(activity.id(), calendar.plus(begin, duration));
        start.put(activity.id(), begun(activity, activity.isMilestone() ? finish.get(activity.id()) : begin));
    }

    private static double begun(Activity activity, double otherwise) {
        return activity.progress().actualStart().map(Instants::of).orElse(otherwise);
    }

    private double lagged(Link link) {
        return lagged(link, startSide(link, true) ? start.get(link.from()) : finish.get(link.from()), 1);
    }

    private double lagged(Link link, double source, int sign) {
        Activity owner = activity(plan.project().lagCalendar() == LagCalendar.SUCCESSOR ? link.to() : link.from());
        boolean clock = link.lag().isElapsed() || plan.project().lagCalendar() == LagCalendar.ELAPSED;
        SlowCalendar calendar = clock ? CLOCK : new SlowCalendar(definition(owner));
        double minutes = sign * link.lag().minutes(clock ? ROUND_THE_CLOCK : definition(owner));
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
