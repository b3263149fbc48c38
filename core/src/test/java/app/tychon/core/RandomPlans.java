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
import app.tychon.core.model.LinkType;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Shape;
import app.tychon.core.model.Shift;
import app.tychon.core.model.WorkDuration;
import java.time.DayOfWeek;
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
        return new Activity(
                id(i),
                "B" + random.nextInt(4),
                "Activity " + i,
                milestone ? ActivityKind.MILESTONE : ActivityKind.TASK,
                duration,
                manyCalendars ? List.of("std", "seven", "nights").get(random.nextInt(3)) : "std",
                manyCalendars && random.nextInt(6) == 0 ? Optional.of(constraint()) : Optional.empty(),
                estimate);
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
