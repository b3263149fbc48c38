package app.tychon.server.odds;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Constraint;
import app.tychon.core.model.ConstraintType;
import app.tychon.core.model.Targets;
import app.tychon.core.simulation.result.Output;
import app.tychon.server.problems.ConflictException;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.Optional;

/** What odds can be read of: start, finish, duration and cost of the project, a branch, a milestone or any activity. */
final class Quantities {
    private Quantities() {}

    /**
     * A start or a finish.
     *
     * @throws IllegalArgumentException for anything else
     */
    static Quantity<LocalDateTime> date(Opened run, Asked asked) {
        boolean finish = isFirst(asked.quantity("finish"), "finish", "start");
        double[] values;
        if (asked.isProject()) {
            values = finish ? run.result().finish() : started(run);
        } else {
            Output output = run.output(asked.item());
            values = finish ? output.finish() : output.start();
        }
        double plan;
        if (asked.isProject() && finish) {
            plan = run.result().planFinish();
        } else {
            Output planned = run.planned(asked.item());
            plan = (finish ? planned.finish() : planned.start())[0];
        }
        return Quantity.dates(run, values, plan, promised(run, finish, asked));
    }

    private static double[] started(Opened run) {
        double[] start = run.result().start();
        if (start.length == 0) {
            throw new ConflictException("This run was recorded before starts were kept; run it again to read them.");
        }
        return start;
    }

    /** The project's target; of an activity the date it must not pass. */
    private static Optional<Double> promised(Opened run, boolean finish, Asked asked) {
        Targets targets = run.plan().project().targets();
        if (asked.isProject()) {
            return finish ? targets.finish().map(Instants::of) : Optional.empty();
        }
        ConstraintType latest = finish ? ConstraintType.FINISH_NO_LATER : ConstraintType.START_NO_LATER;
        return activity(run, asked)
                .flatMap(Activity::constraint)
                .filter(constraint -> constraint.type() == latest)
                .map(Constraint::date)
                .map(Instants::of);
    }

    /**
     * A cost in money, or a duration in days: of an activity's own calendar, of the project's for a branch.
     *
     * @throws IllegalArgumentException for anything else
     */
    static Quantity<Double> amount(Opened run, Asked asked) {
        boolean cost = isFirst(asked.quantity("cost"), "cost", "duration");
        if (asked.isProject()) {
            return cost
                    ? Quantity.amounts(
                            run.result().cost().totals(),
                            run.result().cost().planned(),
                            run.plan().project().targets().cost())
                    : days(run.result().duration(), run.result().planDuration(), day(run, asked));
        }
        Output output = run.output(asked.item());
        Output planned = run.planned(asked.item());
        if (!cost) {
            return days(output.duration(), planned.duration()[0], day(run, asked));
        }
        if (Arrays.stream(output.cost()).allMatch(money -> money == 0)) {
            throw new ConflictException("No money stands on \"" + asked.item() + "\".");
        }
        return Quantity.amounts(output.cost(), planned.cost()[0], Optional.empty());
    }

    private static Quantity<Double> days(double[] minutes, double plan, double day) {
        return Quantity.amounts(Arrays.stream(minutes).map(m -> m / day).toArray(), plan / day, Optional.empty());
    }

    /** Minutes of what a day of duration is. */
    private static double day(Opened run, Asked asked) {
        return activity(run, asked)
                .map(activity -> activity.minutesPerDay(run.plan().calendarOf(activity)))
                .orElseGet(() -> run.plan().projectCalendar().hoursPerDay() * 60);
    }

    private static Optional<Activity> activity(Opened run, Asked asked) {
        return run.plan().activities().stream()
                .filter(a -> a.id().equals(asked.item()))
                .findFirst();
    }

    private static boolean isFirst(String what, String first, String second) {
        if (!what.equals(first) && !what.equals(second)) {
            throw new IllegalArgumentException("odds are read of " + first + " or " + second + ", not of " + what);
        }
        return what.equals(first);
    }
}
