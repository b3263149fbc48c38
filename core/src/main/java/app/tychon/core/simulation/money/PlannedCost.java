package app.tychon.core.simulation.money;

import app.tychon.core.model.Action;
import app.tychon.core.model.Assignment;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Resource;
import app.tychon.core.schedule.ForwardPass;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.PlannedSpans;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What a plan costs without uncertainty: its cost lines, its resources for the time and quantities planned, and the
 * responses that are decided on. As the
 * planned finish, it follows progress: what grows with time has the duration that is to be expected now.
 */
public final class PlannedCost {
    private PlannedCost() {}

    public static double of(Network network) {
        double decided = ResponseActions.decided(network.plan()).stream()
                .mapToDouble(Action::cost)
                .sum();
        return byOwner(network).values().stream()
                        .mapToDouble(Double::doubleValue)
                        .sum()
                + decided;
    }

    /** Without responses, by what the money stands on: activities, branches, or {@link app.tychon.core.model.Plan#PROJECT}. */
    public static Map<String, Double> byOwner(Network network) {
        PlannedSpans spans = new PlannedSpans(network, new ForwardPass(network));
        Map<String, Resource> resources =
                network.plan().resources().stream().collect(Collectors.toMap(Resource::id, Function.identity()));
        Map<String, Double> sums = new TreeMap<>();
        for (CostLine line : network.plan().costs()) {
            sums.merge(
                    line.on(),
                    line.amount() * growth(1 - line.fixedShare(), spans.progressRatio(line.on())),
                    Double::sum);
        }
        for (Assignment one : network.plan().assignments()) {
            Resource resource = resources.get(one.resource());
            double amount = of(network, spans, one, resource)
                    * growth(variableShare(resource), spans.progressRatio(one.activity()));
            sums.merge(one.activity(), amount, Double::sum);
        }
        return sums;
    }

    /** What progress has made of an amount of which a share grows with time. */
    static double growth(double variableShare, double progressRatio) {
        return 1 + variableShare * (progressRatio - 1);
    }

    /** Paid by time, it follows the duration; paid by the unit, it does not. */
    static double variableShare(Resource resource) {
        return resource.per() == Resource.Per.UNIT ? 0 : 1;
    }

    /** At the planned duration. */
    static double of(Network network, PlannedSpans spans, Assignment one, Resource resource) {
        int position = network.position(one.activity());
        double minutes = spans.duration(one.activity());
        double each =
                switch (resource.per()) {
                    case UNIT -> 1;
                    case HOUR -> minutes / 60;
                    case DAY -> minutes / network.activity(position).minutesPerDay(network.calendar(position));
                };
        return resource.rate() * one.units() * each;
    }
}
