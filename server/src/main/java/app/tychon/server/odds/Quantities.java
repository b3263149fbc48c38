package app.tychon.server.odds;

import app.tychon.core.analysis.DateSample;
import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Constraint;
import app.tychon.core.model.ConstraintType;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Targets;
import app.tychon.core.simulation.Output;
import app.tychon.server.problems.ConflictException;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.Optional;

/** What odds can be read of: start, finish, duration and cost of the project, a branch, a milestone or any activity. */
final class Quantities {
    private static final int USUAL_BINS = 40;
    private static final int FEWEST_BINS = 5;
    private static final int MOST_BINS = 200;

    private Quantities() {}

    /**
     * @param what start or finish
     * @param of id of an activity or branch, or {@link Plan#PROJECT}
     * @param bins most bins of the histogram
     * @throws IllegalArgumentException for anything else
     */
    static Quantity<LocalDateTime> date(Opened run, String what, String of, Optional<Integer> bins) {
        boolean finish = isFirst(what, "finish", "start");
        boolean project = of.equals(Plan.PROJECT);
        Output output = project ? null : run.output(of);
        double[] values;
        if (project) {
            values = finish ? run.result().finish() : started(run);
        } else {
            values = finish ? output.finish() : output.start();
        }
        double plan;
        if (project && finish) {
            plan = run.result().planFinish();
        } else {
            Output planned = run.planned(of);
            plan = (finish ? planned.finish() : planned.start())[0];
        }
        return Quantity.dates(run, values, plan, promised(run, finish, of), asked(bins, DateSample.USUAL_BINS));
    }

    private static double[] started(Opened run) {
        double[] start = run.result().start();
        if (start.length == 0) {
            throw new ConflictException("This run was recorded before starts were kept; run it again to read them.");
        }
        return start;
    }

    /** The project's target; of an activity the date it must not pass. */
    private static Optional<Double> promised(Opened run, boolean finish, String of) {
        Targets targets = run.plan().project().targets();
        if (of.equals(Plan.PROJECT)) {
            return finish ? targets.finish().map(Instants::of) : Optional.empty();
        }
        ConstraintType latest = finish ? ConstraintType.FINISH_NO_LATER : ConstraintType.START_NO_LATER;
        return activity(run, of)
                .flatMap(Activity::constraint)
                .filter(constraint -> constraint.type() == latest)
                .map(Constraint::date)
                .map(Instants::of);
    }

    /**
     * @param what cost, in money, or duration, in days: of an activity's own calendar, of the project's for a branch
     * @param of as for {@link #date}
     */
    static Quantity<Double> amount(Opened run, String what, String of, Optional<Integer> bins) {
        boolean cost = isFirst(what, "cost", "duration");
        int most = asked(bins, USUAL_BINS);
        if (of.equals(Plan.PROJECT)) {
            return cost
                    ? Quantity.amounts(
                            run.result().cost().totals(),
                            run.result().cost().planned(),
                            run.plan().project().targets().cost(),
                            most)
                    : days(run.result().duration(), run.result().planDuration(), day(run, of), most);
        }
        Output output = run.output(of);
        Output planned = run.planned(of);
        if (!cost) {
            return days(output.duration(), planned.duration()[0], day(run, of), most);
        }
        if (Arrays.stream(output.cost()).allMatch(money -> money == 0)) {
            throw new ConflictException("No money stands on \"" + of + "\".");
        }
        return Quantity.amounts(output.cost(), planned.cost()[0], Optional.empty(), most);
    }

    private static Quantity<Double> days(double[] minutes, double plan, double day, int bins) {
        return Quantity.amounts(Arrays.stream(minutes).map(m -> m / day).toArray(), plan / day, Optional.empty(), bins);
    }

    /** Minutes of what a day of duration is. */
    private static double day(Opened run, String of) {
        return activity(run, of)
                .map(activity -> activity.minutesPerDay(run.plan().calendarOf(activity)))
                .orElseGet(() -> run.plan().projectCalendar().hoursPerDay() * 60);
    }

    private static Optional<Activity> activity(Opened run, String id) {
        return run.plan().activities().stream().filter(a -> a.id().equals(id)).findFirst();
    }

    private static boolean isFirst(String what, String first, String second) {
        if (!what.equals(first) && !what.equals(second)) {
            throw new IllegalArgumentException("odds are read of " + first + " or " + second + ", not of " + what);
        }
        return what.equals(first);
    }

    private static int asked(Optional<Integer> bins, int usual) {
        int most = bins.orElse(usual);
        if (most < FEWEST_BINS || most > MOST_BINS) {
            throw new IllegalArgumentException(
                    "a histogram has " + FEWEST_BINS + " to " + MOST_BINS + " bins, not " + most);
        }
        return most;
    }
}
