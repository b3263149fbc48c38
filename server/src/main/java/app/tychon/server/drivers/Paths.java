package app.tychon.server.drivers;

import app.tychon.core.simulation.DrivingFutures;
import app.tychon.core.simulation.engine.CompiledPlan;
import java.util.Optional;

/** The paths that drove in a simulation, and what each takes to drive. */
final class Paths {
    private Paths() {}

    /** @param limit futures whose path ends beyond it are late */
    static PathsView of(Goal goal, Limit limit) {
        CompiledPlan plan = goal.towards();
        return PathsView.of(goal, plan, driving(goal, plan), limit);
    }

    /**
     * What the futures in which a path drove share that the others do not.
     *
     * @param number from 1, the most frequent
     */
    static SharedView shared(Goal goal, int number) {
        DrivingFutures driving = driving(goal, goal.towards());
        int count = driving.paths().size();
        if (number < 1 || number > count) {
            throw new IllegalArgumentException("there are paths 1 to " + count + ", not " + number);
        }
        boolean[] drove = driving.drove(number - 1);
        int futures = driving.paths().get(number - 1).futures();
        return new SharedView(new GoalValue(null, null), futures, drove.length, SharedView.rows(goal, drove));
    }

    private record Driving(Optional<String> towards) {}

    private static DrivingFutures driving(Goal goal, CompiledPlan plan) {
        return goal.run().once(new Driving(goal.towardsId()), () -> goal.run()
                .calculate(
                        goal.run().result().iterations(),
                        (ready, monitor) -> DrivingFutures.of(plan, goal.settings(), monitor)));
    }
}
