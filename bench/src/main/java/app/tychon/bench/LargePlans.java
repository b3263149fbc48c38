package app.tychon.bench;

import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.CalendarException;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.CostTiming;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Impact;
import app.tychon.core.model.LagCalendar;
import app.tychon.core.model.Link;
import app.tychon.core.model.LinkType;
import app.tychon.core.model.Plan;
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

/** Plans of any size, made the same way every time: two links an activity, triangular and PERT estimates in turn. */
final class LargePlans {
    private static final int REACH = 60;
    private static final int BRANCH = 250;

    private LargePlans() {}

    static Plan plan(int activities, int calendars, int costLines, int risks) {
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
            rows.add(activity(i, "c" + random.nextInt(calendars), 2 + random.nextInt(28), random));
            for (int l = 0; i > 0 && l < 2; l++) {
                int from = Math.max(0, i - 1 - random.nextInt(REACH));
                links.add(new Link("A" + from, "A" + i, LinkType.FS, WorkDuration.ZERO));
            }
        }
        List<CostLine> costs = new ArrayList<>();
        for (int c = 0; c < costLines; c++) {
            Estimate spread = new Estimate(new Shape.Triangular(0.9, 1, 1.4), Basis.FACTOR);
            costs.add(new CostLine(
                    "C" + c,
                    "Cost " + c,
                    "A" + random.nextInt(activities),
                    1000 + random.nextInt(9000),
                    0.5,
                    CostTiming.EVEN,
                    Optional.empty(),
                    Optional.of(spread)));
        }
        Project project = new Project(
                "bench",
                "Benchmark",
                "EUR",
                LocalDateTime.of(2027, 3, 1, 8, 0),
                Optional.empty(),
                "c0",
                LagCalendar.PREDECESSOR,
                Targets.NONE);
        return Plan.of(project, weeks, wbs, rows, links)
                .edit()
                .costs(costs)
                .risks(risks(risks, activities, random))
                .done();
    }

    /** Threats of a few days, each on one to three activities. */
    private static List<Risk> risks(int count, int activities, Random random) {
        List<Risk> risks = new ArrayList<>();
        for (int r = 0; r < count; r++) {
            List<String> on = IntStream.rangeClosed(0, random.nextInt(3))
                    .mapToObj(t -> "A" + random.nextInt(activities))
                    .distinct()
                    .toList();
            Impact delay = new Impact(
                    on,
                    Impact.Effect.ADD_TIME,
                    Impact.Draw.SHARED,
                    new Estimate(new Shape.Triangular(1, 4, 15), Basis.DAYS));
            risks.add(new Risk(
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
        return risks;
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
