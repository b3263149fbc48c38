package app.tychon.core.simulation;

import app.tychon.core.model.CostLine;
import app.tychon.core.model.Impact;
import app.tychon.core.schedule.Network;
import java.util.Arrays;
import java.util.List;

/** What an effect on something strikes in the end. */
final class RiskTargets {
    private RiskTargets() {}

    /** Ids of the activities, for an effect on time; of the cost lines that are scaled; or of what money is added to. */
    static List<String> of(Network network, Impact.Effect effect, String on) {
        return switch (effect) {
            case ADD_TIME, SCALE_TIME ->
                Arrays.stream(network.targets(on, effect))
                        .mapToObj(i -> network.activity(i).id())
                        .toList();
            case SCALE_COST ->
                network.plan().costs().stream()
                        .filter(line -> line.id().equals(on) || standsIn(network, line.on(), on))
                        .map(CostLine::id)
                        .toList();
            case ADD_COST -> List.of(on);
        };
    }

    /** Whether something stands on an activity, or on a branch or anything beneath it. */
    static boolean standsIn(Network network, String something, String on) {
        if (something.equals(on)) {
            return true;
        }
        String branch = network.branches().isBranch(something)
                ? something
                : network.activity(network.position(something)).wbs();
        return network.branches().chain(branch).contains(on);
    }
}
