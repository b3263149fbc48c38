package app.tychon.core.simulation.money;

import app.tychon.core.model.Action;
import app.tychon.core.model.Assignment;
import app.tychon.core.model.Resource;
import app.tychon.core.schedule.ForwardPass;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.PlannedSpans;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

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
        Map<String, Double> sums = new TreeMap<>();
        items(network).forEach(item -> sums.merge(item.place().on(), item.plannedCost(), Double::sum));
        return sums;
    }

    /** Every cost line and every resource at work. */
    public static List<CostItem> items(Network network) {
        return CostItems.of(network, new PlannedSpans(network, new ForwardPass(network)))
                .items();
    }

    /** What progress has made of an amount of which a share grows with time. */
    static double growth(double variableShare, double progressRatio) {
        return 1 + variableShare * (progressRatio - 1);
    }

    /** Paid by time, it follows the duration; paid by the unit, it does not. */
    static double variableShare(Resource resource) {
        return resource.per() == Resource.Per.UNIT ? 0 : 1;
    }

    /** At the planned duration. @param rate in which it is planned */
    static double of(Network network, PlannedSpans spans, Assignment one, Resource resource, double rate) {
        int position = network.position(one.activity());
        double minutes = spans.duration(one.activity());
        double each =
                switch (resource.per()) {
                    case UNIT -> 1;
                    case HOUR -> minutes / 60;
                    case DAY -> minutes / network.activity(position).minutesPerDay(network.calendar(position));
                };
        return rate * one.units() * each;
    }
}
