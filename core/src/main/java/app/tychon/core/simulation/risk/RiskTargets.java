package app.tychon.core.simulation.risk;

import app.tychon.core.model.Assignment;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Impact;
import app.tychon.core.schedule.Network;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;

/** What an effect on something strikes in the end. */
public final class RiskTargets {
    private RiskTargets() {}

    /**
     * Ids of the activities, for an effect on time; of the cost lines and assignments that are scaled; or of what money is
     * added to. Finished work is spared.
     */
    public static List<String> of(Network network, Impact.Effect effect, String on) {
        return switch (effect) {
            case ADD_TIME, SCALE_TIME ->
                Arrays.stream(network.targets(on, effect))
                        .mapToObj(i -> network.activity(i).id())
                        .toList();
            case SCALE_COST ->
                Stream.concat(
                                network.plan().costs().stream()
                                        .filter(line -> line.id().equals(on) || standsIn(network, line.on(), on))
                                        .filter(line -> !network.isHistory(line.on()))
                                        .map(CostLine::id),
                                network.plan().assignments().stream()
                                        .filter(one -> isOf(network, one, on))
                                        .filter(one -> !network.isHistory(one.activity()))
                                        .map(RiskTargets::id))
                        .toList();
            case ADD_COST -> network.isHistory(network.branches().placeOf(on)) ? List.of() : List.of(on);
        };
    }

    /** What the money of an assignment is known by. */
    public static String id(Assignment assignment) {
        return assignment.activity() + "\n" + assignment.resource();
    }

    /** Whether an assignment's money is that of a resource, an activity, a branch or the project. */
    private static boolean isOf(Network network, Assignment one, String on) {
        boolean isRow = network.isActivity(on) || network.branches().isBranch(on);
        return isRow ? standsIn(network, one.activity(), on) : one.resource().equals(on);
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
