package app.tychon.core.simulation;

import app.tychon.core.model.Activity;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.schedule.ForwardPass;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Schedule;
import app.tychon.core.schedule.Scheduler;
import app.tychon.core.uncertainty.Distribution;
import app.tychon.core.uncertainty.Distributions;
import app.tychon.core.uncertainty.FixedDistribution;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.IntStream;

/** A plan made ready to simulate: network, uncertain durations and costs. Immutable; share it between runs. */
public final class CompiledPlan {
    private final Network network;
    private final ForwardPass pass;
    private final UncertainInput[] durations;
    private final CostModel costs;
    private final Schedule schedule;

    private CompiledPlan(Network network) {
        this.network = network;
        pass = ForwardPass.of(network);
        Map<String, CalendarDefinition> calendars = new HashMap<>();
        network.plan().calendars().forEach(c -> calendars.put(c.id(), c));
        durations = new UncertainInput[network.size()];
        // Tables of inverses cost the most of compiling, and no row's depends on another's.
        IntStream.range(0, durations.length).parallel().forEach(i -> {
            Activity activity = network.activity(i);
            durations[i] = new UncertainInput(
                    Stream.of(Stream.Role.DURATION, activity.id()),
                    duration(activity, calendars.get(activity.calendar()), network.planned(i)));
        });
        costs = CostModel.of(network, pass);
        schedule = Scheduler.schedule(network);
    }

    /**
     * Compiles a plan.
     *
     * @throws InvalidPlanException with every problem of the plan
     */
    public static CompiledPlan of(Plan plan) {
        return new CompiledPlan(Network.of(plan));
    }

    /**
     * How long an activity may take, in working minutes (minutes of the clock where its duration is planned in elapsed
     * days); certain where it has no estimate.
     *
     * @param planned planned duration, minutes
     */
    public static Distribution duration(Activity activity, CalendarDefinition calendar, double planned) {
        return activity.estimate()
                .map(estimate ->
                        Distributions.ofDuration(estimate.shape(), minutesEach(activity, estimate, calendar, planned)))
                .orElseGet(() -> FixedDistribution.of(planned));
    }

    static double minutesEach(Activity activity, Estimate estimate, CalendarDefinition calendar, double planned) {
        if (estimate.basis() == Basis.FACTOR) {
            return planned;
        }
        if (estimate.basis() == Basis.HOURS) {
            return 60;
        }
        return activity.minutesPerDay(calendar);
    }

    public Network network() {
        return network;
    }

    /** The plan without uncertainty. */
    public Schedule schedule() {
        return schedule;
    }

    /** Planned cost of all lines. */
    public double plannedCost() {
        return costs.planned();
    }

    ForwardPass pass() {
        return pass;
    }

    UncertainInput duration(int position) {
        return durations[position];
    }

    CostModel costs() {
        return costs;
    }
}
