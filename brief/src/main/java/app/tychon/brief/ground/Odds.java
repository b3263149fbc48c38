package app.tychon.brief.ground;

import app.tychon.core.analysis.JointSample;
import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.calendar.WorkingTimes;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Targets;
import app.tychon.core.model.WbsNode;
import app.tychon.core.simulation.Outputs;
import app.tychon.core.simulation.result.Output;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.statistics.DateSample;
import app.tychon.core.statistics.KernelDensity;
import app.tychon.core.statistics.Sample;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** How sure dates and amounts are: of the project, of a branch or of an activity. */
public final class Odds {
    private static final int POINTS = 240;

    private final Ground ground;
    private final WorkingTime time;
    private final Map<String, Sight> finishes = new HashMap<>();
    private final Map<String, Optional<Sight>> costs = new HashMap<>();

    public Odds(Ground ground) {
        this.ground = ground;
        time = WorkingTimes.ofProject(ground.plan());
    }

    public Ground ground() {
        return ground;
    }

    public Plan plan() {
        return ground.plan();
    }

    public RunResult result() {
        return ground.result();
    }

    public Targets targets() {
        return plan().project().targets();
    }

    /** The project's working time. */
    public WorkingTime time() {
        return time;
    }

    /** Working minutes of a day of the project's calendar. */
    public double day() {
        return plan().projectCalendar().hoursPerDay() * 60;
    }

    /** Whether the plan has anything that costs, or could. */
    public boolean hasMoney() {
        return result().hasMoney();
    }

    /** Whether the plan has such an activity or a branch that holds work; the project always. */
    public boolean knows(String of) {
        return of.equals(Plan.PROJECT)
                || plan().activities().stream().anyMatch(one -> one.id().equals(of))
                || result().branches().stream().anyMatch(one -> one.id().equals(of));
    }

    /** What something is called. */
    public String name(String of) {
        if (of.equals(Plan.PROJECT)) {
            return plan().project().name();
        }
        return Stream.concat(
                        plan().activities().stream()
                                .filter(one -> one.id().equals(of))
                                .map(Activity::name),
                        plan().wbs().stream().filter(one -> one.id().equals(of)).map(WbsNode::name))
                .findFirst()
                .orElse(of);
    }

    /** When something ends, an instant. */
    public synchronized Sight finish(String of) {
        return finishes.computeIfAbsent(of, id -> {
            if (id.equals(Plan.PROJECT)) {
                return new Sight(
                        DateSample.of(result().finish(), time),
                        result().planFinish(),
                        targets().finish().map(Instants::of));
            }
            return new Sight(
                    DateSample.of(output(id).finish(), time), planned(id).finish()[0], Optional.empty());
        });
    }

    /** What something costs; nothing where no money stands on it. */
    public synchronized Optional<Sight> cost(String of) {
        return costs.computeIfAbsent(of, id -> {
            if (id.equals(Plan.PROJECT)) {
                return hasMoney()
                        ? Optional.of(new Sight(
                                Sample.of(result().cost().totals()),
                                result().cost().planned(),
                                targets().cost()))
                        : Optional.empty();
            }
            double[] money = output(id).cost();
            boolean any = Arrays.stream(money).anyMatch(one -> one != 0);
            return any
                    ? Optional.of(new Sight(Sample.of(money), planned(id).cost()[0], Optional.empty()))
                    : Optional.empty();
        });
    }

    private record Whole(String of) {}

    private Output output(String of) {
        return result().output(of)
                .orElseGet(() -> ground.once(
                        new Whole(of),
                        result().iterations(),
                        (plan, monitor) -> Outputs.of(plan, result().settings(), result().iterations(), of, monitor)));
    }

    private record Planned(String of) {}

    private Output planned(String of) {
        RunSettings one = new RunSettings(1, 0, result().settings().sampling(), 1);
        return ground.once(
                new Planned(of), 1, (plan, monitor) -> Outputs.of(plan.with(Variation.CERTAIN), one, 1, of, monitor));
    }

    /** In how many futures target and budget are kept both; nothing unless both are said. */
    public Optional<Long> keepingBoth() {
        return targets().finish().flatMap(date -> targets()
                .cost()
                .map(budget -> Math.round(
                        JointSample.of(result().finish(), result().cost().totals())
                                        .chance(Instants.of(date), budget)
                                * result().iterations())));
    }

    /** How likely a date is, for drawing. */
    public KernelDensity dates(Sight sight) {
        return DateSample.density(sight.sample(), time, POINTS);
    }

    /** How likely an amount is, for drawing. */
    public KernelDensity amounts(Sight sight) {
        return KernelDensity.of(sight.sample(), POINTS);
    }

    /** Working minutes of the project's calendar between two instants, negative where the later comes first. */
    public double work(double from, double to) {
        return time.work(to) - time.work(from);
    }
}
