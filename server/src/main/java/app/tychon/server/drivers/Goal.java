package app.tychon.server.drivers;

import app.tychon.core.analysis.Scatter;
import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Targets;
import app.tychon.core.schedule.ForwardPass;
import app.tychon.core.schedule.Frame;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Schedule.ScheduledActivity;
import app.tychon.core.simulation.Aim;
import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.statistics.Sample;
import app.tychon.server.odds.Asked;
import app.tychon.server.odds.Chance;
import app.tychon.server.odds.Opened;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.DoubleFunction;

/** What drivers are asked of in one simulation, and how its values are told: in days, as dates, or in money. */
final class Goal {
    private static final double PERCENT = 100;

    private final Opened run;
    private final Aim aim;
    private final double unit;

    private Goal(Opened run, Aim aim) {
        this.run = run;
        this.aim = aim;
        unit = aim.isMoney() ? 1 : day();
    }

    /**
     * What is asked; the project's finish where nothing is said.
     *
     * @throws IllegalArgumentException where there is no such quantity
     */
    static Goal of(Opened run, Asked asked) {
        String what = asked.quantity("finish");
        Aim.Quantity quantity = Arrays.stream(Aim.Quantity.values())
                .filter(one -> one.name().toLowerCase(Locale.ROOT).equals(what))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(
                        "what: drivers are told of finish, start, duration or cost, not of \"" + what + "\""));
        return new Goal(run, new Aim(quantity, asked.item()));
    }

    Opened run() {
        return run;
    }

    Aim aim() {
        return aim;
    }

    /** All futures of the simulation once more. */
    RunSettings settings() {
        return settings(run.result().iterations());
    }

    /** The first so many of them. */
    RunSettings settings(int iterations) {
        RunSettings own = run.result().settings();
        return new RunSettings(iterations, own.seed(), own.sampling(), own.threads());
    }

    /** Whether every run keeps its values. */
    private boolean isOfRun() {
        return aim.isProject() && aim.quantity() != Aim.Quantity.START;
    }

    /** As {@link Aim#values}, one a future. */
    double[] values() {
        RunResult result = run.result();
        return switch (isOfRun() ? aim.quantity() : Aim.Quantity.START) {
            case COST -> result.cost().totals();
            case FINISH, DURATION -> result.duration();
            case START -> aim.values(run.compiled(), run.output(aim.of()));
        };
    }

    /** The value without uncertainty. */
    double planned() {
        return aim.values(run.compiled(), run.planned(aim.of()))[0];
    }

    /** What one of the units is that differences are told in: a day in minutes, or money. */
    double unit() {
        return unit;
    }

    /** Minutes of a day: of an activity's own calendar where its duration counts, else of the project's. */
    private double day() {
        Plan plan = run.plan();
        Optional<Activity> activity = plan.activities().stream()
                .filter(one -> one.id().equals(aim.of()) && aim.quantity() == Aim.Quantity.DURATION)
                .findFirst();
        return activity.map(one -> one.minutesPerDay(plan.calendarOf(one)))
                .orElseGet(() -> plan.projectCalendar().hoursPerDay() * 60);
    }

    /**
     * How values are told: as a date, or as days or money. A percentile of the simulation's own dates is the date that odds give
     * for it; what differs from it is told as the instant at which so much has been worked.
     *
     * @param level of the percentile, 0 to 1
     */
    DoubleFunction<GoalValue> telling(double level) {
        if (!aim.quantity().isDate()) {
            return this::amount;
        }
        Frame frame = run.compiled().network().frame();
        double own = dates().percentile(level);
        double worked = frame.work(own);
        return value -> {
            boolean isOwn = Math.abs(value - worked) <= ForwardPass.SAME;
            boolean isStart = aim.quantity() == Aim.Quantity.START;
            return date(isOwn ? own : isStart ? frame.startOf(value) : frame.endOf(value));
        };
    }

    /** The mean, of dates that on the clock, as odds have it. @param mean of the values */
    GoalValue tellMean(double mean) {
        return aim.quantity().isDate() ? date(dates().mean()) : amount(mean);
    }

    /** The value without uncertainty. */
    GoalValue tellPlanned() {
        return switch (aim.quantity()) {
            case FINISH ->
                date(
                        aim.isProject()
                                ? run.result().planFinish()
                                : run.planned(aim.of()).finish()[0]);
            case START -> date(run.planned(aim.of()).start()[0]);
            case DURATION, COST -> amount(planned());
        };
    }

    private Sample dates() {
        if (aim.quantity() == Aim.Quantity.START) {
            return run.dates(run.output(aim.of()).start());
        }
        return aim.isProject() ? run.finish() : run.dates(run.output(aim.of()).finish());
    }

    private GoalValue amount(double value) {
        return new GoalValue(null, value / unit);
    }

    private static GoalValue date(double instant) {
        return new GoalValue(Instants.toCivil(instant), null);
    }

    /** A date, or days or money, as a value. */
    double value(GoalValue told) {
        if (aim.quantity().isDate()) {
            if (told.date() == null) {
                throw new IllegalArgumentException("date: a date is needed for what ends or begins");
            }
            return run.compiled().network().frame().work(Instants.of(told.date()));
        }
        if (told.amount() == null) {
            throw new IllegalArgumentException("amount: a number is needed for a duration or a cost");
        }
        return told.amount() * unit();
    }

    /** What was promised of the project, as a value. */
    Optional<Double> target() {
        Targets targets = run.plan().project().targets();
        if (!isOfRun()) {
            return Optional.empty();
        }
        return switch (aim.quantity()) {
            case FINISH ->
                targets.finish().map(date -> run.compiled().network().frame().work(Instants.of(date)));
            case COST -> targets.cost();
            case START, DURATION -> Optional.empty();
        };
    }

    /** The same as it was promised; nothing in it where nothing was. */
    GoalValue promised() {
        Targets targets = run.plan().project().targets();
        return aim.isMoney()
                ? new GoalValue(null, targets.cost().orElse(null))
                : new GoalValue(targets.finish().orElse(null), null);
    }

    /**
     * The plan as it aims at what is asked about: paths and criticality are towards the project's finish, an activity, or
     * the work of a branch that is planned to end last.
     */
    CompiledPlan towards() {
        return towardsId().map(run.compiled()::towards).orElseGet(run::compiled);
    }

    /** When that ends. */
    Goal towardsEnd() {
        return new Goal(run, new Aim(Aim.Quantity.FINISH, towardsId().orElse(Plan.PROJECT)));
    }

    /** Which activity that is; none for the project. */
    Optional<String> towardsId() {
        if (aim.isProject()) {
            return Optional.empty();
        }
        Network network = run.compiled().network();
        if (!network.branches().isBranch(aim.of())) {
            return Optional.of(aim.of());
        }
        List<ScheduledActivity> planned = run.compiled().schedule().activities();
        return Arrays.stream(network.branches().beneath(aim.of()))
                .mapToObj(network::activity)
                .filter(activity -> !activity.isHammock())
                .max(Comparator.comparingDouble(activity ->
                        planned.get(run.plan().activities().indexOf(activity)).earlyFinish()))
                .map(Activity::id);
    }

    /** The level of a percentile, 0 to 1: as asked in percent, or the project's own. */
    double level(Optional<Double> asked) {
        return asked.map(Chance::some).orElse(run.plan().project().targets().level());
    }

    /** The uncertain quantities of the plan, where risks count with what their time costs. */
    Inputs inputs() {
        double[] duration = run.result().duration();
        double price =
                Scatter.of(duration, run.result().cost().totals()).slope().orElse(0);
        return Inputs.of(run.compiled(), Math.max(0, price));
    }

    /** A level as it is told, percent. */
    static double percent(double level) {
        return PERCENT * level;
    }
}
