package app.tychon.core.analysis;

import app.tychon.core.model.Activity;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.Floats;
import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.ActivityResult;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.Shortening;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;

/**
 * Where a plan has more time than it needs: activities planned longer than their own P90, those whose planned duration holds
 * more than a confidence asks for, and float that no future uses.
 *
 * @param id        of the activity
 * @param planned   working minutes of its own calendar that are still to be worked
 * @param beyond    minutes planned beyond the P90 of its own estimate; 0 where it is not
 * @param giveBack  minutes of the planned duration that could be given back and still be kept at the level, risks included
 * @param money     what the plan would cost less without them
 * @param leastFloat float that is left in every future, working minutes; empty where there is none
 */
public record SpareTime(
        String id, double planned, double beyond, double giveBack, double money, OptionalDouble leastFloat) {
    private static final double HIGH = 0.9;
    /** Less than this, in minutes, is rounding. */
    private static final double NOTHING = 1;

    /**
     * @param results of a run of this plan
     * @param floats  likewise
     * @param percent level at which durations are to be kept, 1 to 99
     * @return those with anything to spare: what could be given back first, then what stands idle
     */
    public static List<SpareTime> of(
            CompiledPlan plan,
            List<ActivityResult> results,
            List<Optional<Floats.OfActivity>> floats,
            int percent,
            RunMonitor monitor) {
        Network network = plan.network();
        Inputs inputs = Inputs.of(plan);
        Map<String, Input> estimates = inputs.all().stream()
                .filter(input -> input.kind() == Input.Kind.ESTIMATE)
                .collect(Collectors.toMap(Input::id, input -> input));
        double planned = cost(plan, Variation.CERTAIN, monitor);
        List<SpareTime> spare = new ArrayList<>();
        for (int row = 0; row < results.size(); row++) {
            Activity activity = network.plan().activities().get(row);
            int i = network.position(activity.id());
            OptionalDouble least = floats.get(row)
                    .filter(one -> one.least() > NOTHING)
                    .map(one -> OptionalDouble.of(one.least()))
                    .orElse(OptionalDouble.empty());
            boolean isWork = DayGain.canShorten(network, activity);
            double remaining = isWork ? network.work(i).remaining() : 0;
            Optional<Input> estimate =
                    Optional.ofNullable(estimates.get(activity.id())).filter(input -> isWork);
            double beyond = estimate.map(input -> atLeastNothing(remaining - inputs.quantile(input, HIGH)))
                    .orElse(0.0);
            double whole = network.work(i).done() + remaining;
            double kept = results.get(row).duration()[percent - 1];
            double giveBack = estimate.map(input -> Math.min(remaining, atLeastNothing(whole - kept)))
                    .orElse(0.0);
            if (beyond + giveBack > 0 || least.isPresent()) {
                double money = giveBack > 0
                        ? planned
                                - cost(
                                        plan,
                                        Variation.CERTAIN.shortening(activity.id(), new Shortening(1, giveBack)),
                                        monitor)
                        : 0;
                spare.add(new SpareTime(activity.id(), remaining, beyond, giveBack, money, least));
            }
        }
        spare.sort(Comparator.comparingDouble((SpareTime one) -> -one.giveBack())
                .thenComparing(one -> -one.beyond())
                .thenComparing(one -> -one.leastFloat().orElse(0)));
        return spare;
    }

    private static double atLeastNothing(double minutes) {
        return minutes > NOTHING ? minutes : 0;
    }

    /** The plan's cost without uncertainty. */
    private static double cost(CompiledPlan plan, Variation variation, RunMonitor monitor) {
        RunSettings once = new RunSettings(1, 0, Sampling.PLAIN, 1);
        return Simulation.outcomes(plan.with(variation), once, monitor.quiet()).cost()[0];
    }
}
