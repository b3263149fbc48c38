package app.tychon.core.simulation;

import app.tychon.core.model.Assignment;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Resource;
import app.tychon.core.schedule.ForwardPass;
import app.tychon.core.schedule.Network;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/** What a plan costs without uncertainty: its cost lines, and its resources for the time and quantities planned. */
public final class PlannedCost {
    private PlannedCost() {}

    public static double of(Network network) {
        PlannedSpans spans = new PlannedSpans(network, ForwardPass.of(network));
        Map<String, Resource> resources =
                network.plan().resources().stream().collect(Collectors.toMap(Resource::id, Function.identity()));
        double sum =
                network.plan().costs().stream().mapToDouble(CostLine::amount).sum();
        for (Assignment one : network.plan().assignments()) {
            sum += of(network, spans, one, resources.get(one.resource()));
        }
        return sum;
    }

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
