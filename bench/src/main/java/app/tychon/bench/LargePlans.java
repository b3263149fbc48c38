package app.tychon.bench;

import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.CalendarException;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Impact;
import app.tychon.core.model.LagCalendar;
import app.tychon.core.model.Link;
import app.tychon.core.model.LinkType;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Progress;
import app.tychon.core.model.Project;
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
import java.util.Random;
import java.util.stream.IntStream;

/**
 * Plans of any size, made the same way every time: two links an activity, triangular and PERT estimates in turn.
 *
 * @param mixed    whether every tenth activity is a milestone, half of them at the beginning of a shift, half at the end
 * @param underWay whether the first fifth has begun or is done, and every branch has a hammock
 */
record LargePlans(int activities, int calendars, int costLines, int risks, boolean mixed, boolean underWay) {
    static final int REACH = 600;
    private static final int BRANCH = 250;
    private static final LocalDateTime START = LocalDateTime.of(2027, 3, 1, 8, 0);

    /** The one most figures are about. */
    static LargePlans large(int calendars, boolean mixed, boolean underWay) {
        return new LargePlans(10_000, calendars, 500, 200, mixed, underWay);
    }

    Plan plan() {
        Random random = new Random(activities);
        List<CalendarDefinition> weeks = new ArrayList<>();
        for (int c = 0; c < calendars; c++) {
            weeks.add(week("c" + c, 8 + c % 3));
        }
        List<WbsNode> wbs = new ArrayList<>();
        for (int b = 0; b * BRANCH < activities; b++) {
            wbs.add(new WbsNode("W" + b, Optional.empty(), "" + (b + 1), "Branch " + b, Optional.empty()));
        }
        List<Activity> rows = new ArrayList<>();
        List<Link> links = new ArrayList<>();
        for (int i = 0; i < activities; i++) {
            Activity row = activity(i, "c" + random.nextInt(calendars), 2 + random.nextInt(28), random);
            boolean isMilestone = mixed && i % 10 == 9;
            rows.add(isMilestone ? milestone(i, row.calendar()) : underWay ? begun(i, row) : row);
            for (int l = 0; i > 0 && l < 2; l++) {
                int from = Math.max(0, i - 1 - random.nextInt(REACH));
                boolean atStart = isMilestone && i % 20 == 9;
                links.add(new Link("A" + from, "A" + i, atStart ? LinkType.SS : LinkType.FS, WorkDuration.ZERO));
            }
        }
        for (int b = 0; underWay && b * BRANCH < activities; b++) {
            rows.add(Activity.of("H" + b, "W" + b, "Branch", ActivityKind.HAMMOCK, WorkDuration.ZERO, "c0"));
            int last = Math.min(activities, (b + 1) * BRANCH) - 1;
            links.add(new Link("A" + b * BRANCH, "H" + b, LinkType.SS, WorkDuration.ZERO));
            links.add(new Link("A" + last, "H" + b, LinkType.FF, WorkDuration.ZERO));
        }
        List<CostLine> costs = new ArrayList<>();
        for (int c = 0; c < costLines; c++) {
            Estimate spread = new Estimate(new Shape.Triangular(0.9, 1, 1.4), Basis.FACTOR);
            costs.add(CostLine.of("C" + c, "Cost " + c, "A" + random.nextInt(activities), 1000 + random.nextInt(9000))
                    .withFixedShare(0.5)
                    .withEstimate(Optional.of(spread)));
        }
        Project project = new Project(
                "bench",
                "Benchmark",
                "EUR",
                START,
                underWay ? Optional.of(START.plusYears(1)) : Optional.empty(),
                "c0",
                LagCalendar.PREDECESSOR,
                Targets.NONE);
        return Plan.of(project, weeks, wbs, rows, links)
                .edit()
                .costs(costs)
                .risks(risks(random))
                .done();
    }

    private static Activity milestone(int i, String calendar) {
        return Activity.of(
                "A" + i, "W" + i / BRANCH, "Milestone " + i, ActivityKind.MILESTONE, WorkDuration.ZERO, calendar);
    }

    /** Of the first fifth two in three are done, the others have begun. */
    private Activity begun(int i, Activity row) {
        if (i >= activities / 5) {
            return row;
        }
        LocalDateTime start = START.plusDays(i % 200).plusHours(2);
        boolean isDone = i % 3 > 0;
        return row.withProgress(new Progress(
                Optional.of(start),
                isDone ? Optional.of(start.plusDays(20)) : Optional.empty(),
                isDone ? Optional.empty() : Optional.of(WorkDuration.days(1 + i % 5))));
    }

    /** Threats of a few days, each on one to three activities. */
    private List<Risk> risks(Random random) {
        List<Risk> all = new ArrayList<>();
        for (int r = 0; r < risks; r++) {
            List<String> on = IntStream.rangeClosed(0, random.nextInt(3))
                    .mapToObj(t -> "A" + random.nextInt(activities))
                    .distinct()
                    .toList();
            Impact delay = new Impact(
                    on,
                    Impact.Effect.ADD_TIME,
                    Impact.Draw.SHARED,
                    new Estimate(new Shape.Triangular(1, 4, 15), Basis.DAYS));
            all.add(new Risk(
                    "K" + r,
                    "Risk " + r,
                    Risk.Kind.THREAT,
                    Risk.State.OPEN,
                    "",
                    "",
                    0.05 + 0.4 * random.nextDouble(),
                    List.of(delay),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty()));
        }
        return all;
    }

    private static Activity activity(int i, String calendar, int days, Random random) {
        double low = days * (0.7 + 0.25 * random.nextDouble());
        double high = days * (1.1 + 0.8 * random.nextDouble());
        Shape shape = i % 2 == 0
                ? new Shape.Triangular(low, days, high)
                : new Shape.Pert(low, days, high, Shape.Pert.USUAL_WEIGHT);
        return Activity.of(
                        "A" + i,
                        "W" + i / BRANCH,
                        "Activity " + i,
                        ActivityKind.TASK,
                        WorkDuration.days(days),
                        calendar)
                .withEstimate(Optional.of(new Estimate(shape, Basis.DAYS)));
    }

    private static CalendarDefinition week(String id, int hours) {
        Map<DayOfWeek, List<Shift>> week = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            if (day != DayOfWeek.SUNDAY && (hours > 8 || day != DayOfWeek.SATURDAY)) {
                week.put(day, List.of(new Shift(7 * 60, 12 * 60), new Shift(13 * 60, (8 + hours) * 60)));
            }
        }
        List<CalendarException> closures = new ArrayList<>();
        for (int year = 2027; year < 2060; year++) {
            closures.add(new CalendarException(
                    LocalDate.of(year, 12, 24), LocalDate.of(year + 1, 1, 2), "Year-end closure", List.of()));
        }
        return new CalendarDefinition(id, "Week of " + id, hours, week, closures);
    }
}
