package app.tychon.core;

import static app.tychon.core.PlanBuilder.START;
import static app.tychon.core.PlanBuilder.closure;
import static app.tychon.core.PlanBuilder.fiveDayWeek;

import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Constraint;
import app.tychon.core.model.ConstraintType;
import app.tychon.core.model.DurationUnit;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.LagCalendar;
import app.tychon.core.model.Link;
import app.tychon.core.model.LinkType;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Progress;
import app.tychon.core.model.Project;
import app.tychon.core.model.Shape;
import app.tychon.core.model.Shift;
import app.tychon.core.model.WorkDuration;
import java.time.DayOfWeek;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/** Plans made by chance, for properties that must hold for any plan. The same seed makes the same plan. */
public final class RandomPlans {
    private final Random random;
    private final boolean manyCalendars;

    private RandomPlans(long seed, boolean manyCalendars) {
        random = new Random(seed);
        this.manyCalendars = manyCalendars;
    }

    /** One working calendar throughout, as most plans have. */
    public static Plan oneCalendar(long seed, int activities) {
        return new RandomPlans(seed, false).plan(activities);
    }

    /** Several calendars, elapsed durations, lags in any unit and calendar, constraints. */
    public static Plan manyCalendars(long seed, int activities) {
        return new RandomPlans(seed, true).plan(activities);
    }

    /** The same with hammocks and, up to a data date, progress. */
    public static Plan underWay(long seed, int activities) {
        return new RandomPlans(seed, true).progressed(manyCalendars(seed, activities));
    }

    /**
     * The same with prices that rise, instalments, money that is spent, and resources of which the rates change; and a register of
     * threats and opportunities on activities, branches, cost lines and the project.
     */
    public static Plan risky(long seed, int activities) {
        return RandomMoney.of(seed, activities, underWay(seed, activities))
                .withRisks(new RandomRisks(seed, activities).risks());
    }

    private Plan progressed(Plan plan) {
        List<Activity> rows = new ArrayList<>();
        LocalDateTime dataDate = START.plusDays(20 + random.nextInt(40)).plusMinutes(random.nextInt(600));
        int started = plan.activities().size() / 3;
        for (int i = 0; i < plan.activities().size(); i++) {
            Activity row = plan.activities().get(i);
            boolean begun = i < started && random.nextInt(3) > 0;
            rows.add(begun ? row.withProgress(progress(row, dataDate)) : row);
        }
        List<Link> links = new ArrayList<>(plan.links());
        for (int h = 0; h < 3; h++) {
            String id = "H" + h;
            rows.add(Activity.of(
                    id, "B" + h, "Hammock " + h, ActivityKind.HAMMOCK, WorkDuration.ZERO, h == 0 ? "std" : "seven"));
            for (int l = 0; l < 4; l++) {
                boolean opens = l < 2;
                String other = id(random.nextInt(plan.activities().size()));
                WorkDuration lag = WorkDuration.parse(lag()).orElseThrow();
                boolean backwards = random.nextBoolean();
                LinkType type = random.nextBoolean()
                        ? (opens ? LinkType.SS : LinkType.FF)
                        : (opens == backwards ? LinkType.SF : LinkType.FS);
                links.add(backwards ? new Link(id, other, type, lag) : new Link(other, id, type, lag));
            }
        }
        return plan.edit()
                .project(new Project(
                        plan.project().id(),
                        plan.project().name(),
                        plan.project().currency(),
                        plan.project().start(),
                        Optional.of(dataDate),
                        plan.project().calendar(),
                        plan.project().lagCalendar(),
                        plan.project().targets()))
                .activities(rows)
                .links(links)
                .done();
    }

    private Progress progress(Activity row, LocalDateTime dataDate) {
        LocalDateTime start = START.plusDays(random.nextInt(15)).plusMinutes(random.nextInt(700));
        if (row.isMilestone() || random.nextBoolean()) {
            LocalDateTime finish = start.plusMinutes(random.nextInt(5 * 1440));
            return new Progress(Optional.of(start), Optional.of(finish), Optional.empty());
        }
        DurationUnit unit = row.duration().isElapsed() ? DurationUnit.ELAPSED_DAYS : DurationUnit.DAYS;
        return new Progress(
                Optional.of(start),
                Optional.empty(),
                random.nextBoolean() ? Optional.empty() : Optional.of(new WorkDuration(random.nextInt(9), unit)));
    }

    private Plan plan(int activities) {
        PlanBuilder plan = new PlanBuilder()
                .calendar(fiveDayWeek("std", closure("2027-04-12", "2027-04-16")))
                .calendar(sevenDays())
                .calendar(nights());
        for (int b = 0; b < 4; b++) {
            plan.branch("B" + b, b < 2 ? "W" : "B" + (b - 2));
        }
        if (manyCalendars) {
            plan.lagCalendar(LagCalendar.values()[random.nextInt(3)]);
        }
        for (int i = 0; i < activities; i++) {
            plan.activity(activity(i));
        }
        for (int i = 1; i < activities; i++) {
            for (int l = 0; l < 1 + random.nextInt(3); l++) {
                plan.link(id(random.nextInt(i)), id(i), linkType(), lag());
            }
        }
        for (int c = 0; c < 5; c++) {
            String on = c == 0 ? "project" : c < 3 ? "B" + c : id(random.nextInt(activities));
            plan.cost("C" + c, on, 1000 * (c + 1), random.nextDouble(), new Shape.Triangular(0.8, 1, 1.5));
        }
        return plan.build();
    }

    private static String id(int i) {
        return "A" + i;
    }

    private Activity activity(int i) {
        boolean milestone = random.nextInt(8) == 0;
        int days = 1 + random.nextInt(20);
        WorkDuration duration = milestone ? WorkDuration.ZERO : new WorkDuration(days, unit());
        double size = duration.unit() == DurationUnit.WEEKS ? days * 5.0 : days;
        Optional<Estimate> estimate = milestone || duration.unit() == DurationUnit.HOURS
                ? Optional.empty()
                : Optional.of(new Estimate(shape(size), Basis.DAYS));
        return Activity.of(
                        id(i),
                        "B" + random.nextInt(4),
                        "Activity " + i,
                        milestone ? ActivityKind.MILESTONE : ActivityKind.TASK,
                        duration,
                        manyCalendars ? List.of("std", "seven", "nights").get(random.nextInt(3)) : "std")
                .withConstraint(manyCalendars && random.nextInt(6) == 0 ? Optional.of(constraint()) : Optional.empty())
                .withEstimate(estimate);
    }

    private DurationUnit unit() {
        DurationUnit[] units = {DurationUnit.DAYS, DurationUnit.DAYS, DurationUnit.HOURS, DurationUnit.WEEKS};
        return manyCalendars && random.nextInt(6) == 0
                ? DurationUnit.ELAPSED_DAYS
                : units[random.nextInt(units.length)];
    }

    private Shape shape(double likely) {
        double low = likely * (0.6 + 0.3 * random.nextDouble());
        double high = likely * (1.1 + random.nextDouble());
        return switch (random.nextInt(3)) {
            case 0 -> new Shape.Uniform(low, high);
            case 1 -> new Shape.Triangular(low, likely, high);
            default -> new Shape.Pert(low, likely, high, Shape.Pert.USUAL_WEIGHT);
        };
    }

    private Constraint constraint() {
        ConstraintType[] types = ConstraintType.values();
        return new Constraint(
                types[random.nextInt(types.length)],
                START.plusDays(random.nextInt(120)).plusMinutes(random.nextInt(600)));
    }

    private LinkType linkType() {
        return random.nextInt(3) > 0 ? LinkType.FS : LinkType.values()[random.nextInt(4)];
    }

    private String lag() {
        if (random.nextInt(3) > 0) {
            return "0d";
        }
        int amount = random.nextInt(9) - 3;
        return amount + (manyCalendars ? List.of("d", "h", "min", "ed").get(random.nextInt(4)) : "d");
    }

    private static CalendarDefinition sevenDays() {
        Map<DayOfWeek, List<Shift>> week = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            week.put(day, List.of(new Shift(7 * 60, 19 * 60)));
        }
        return new CalendarDefinition("seven", "Seven-day week", 12, week, List.of());
    }

    private static CalendarDefinition nights() {
        Map<DayOfWeek, List<Shift>> week = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : List.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.THURSDAY)) {
            week.put(day, List.of(new Shift(0, 5 * 60), new Shift(22 * 60, 24 * 60)));
        }
        return new CalendarDefinition("nights", "Nights", 7, week, List.of(closure("2027-05-03", "2027-05-12")));
    }
}
