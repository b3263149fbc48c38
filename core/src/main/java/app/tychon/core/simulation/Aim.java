package app.tychon.core.simulation;

import app.tychon.core.model.Plan;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.result.Output;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import java.util.Arrays;
import java.util.Optional;

/**
 * What a question is about: a date, a duration or the cost of the project, a branch, a milestone or an activity.
 *
 * @param of id of an activity or a branch, or {@link Plan#PROJECT}
 */
public record Aim(Quantity quantity, String of) {
    public static final Aim FINISH = new Aim(Quantity.FINISH, Plan.PROJECT);
    public static final Aim COST = new Aim(Quantity.COST, Plan.PROJECT);

    public enum Quantity {
        FINISH,
        START,
        DURATION,
        COST;

        /** Whether it is told as a date. */
        public boolean isDate() {
            return this == FINISH || this == START;
        }
    }

    public boolean isMoney() {
        return quantity == Quantity.COST;
    }

    public boolean isProject() {
        return of.equals(Plan.PROJECT);
    }

    /**
     * The plan as a run of it has this for its finish, duration or cost; nothing where no run has, and values are those of an
     * {@link Output}. Where it is there, differences need nothing more.
     */
    public Optional<CompiledPlan> asOutcome(CompiledPlan plan) {
        if (isProject()) {
            return quantity == Quantity.START ? Optional.empty() : Optional.of(plan);
        }
        Network network = plan.network();
        boolean isFinish =
                quantity == Quantity.FINISH && network.isActivity(of) && !network.isHammock(network.position(of));
        return isFinish ? Optional.of(plan.towards(of)) : Optional.empty();
    }

    /**
     * Its value in every future.
     *
     * @return dates as working minutes of the project's calendar from its start; durations as working minutes: of an
     *     activity's own calendar, else of the project's; money
     * @throws IllegalArgumentException where the plan has no such activity, nor such a branch with activities, or no money
     *     stands there
     * @throws java.util.concurrent.CancellationException when stopped before anything was done, or interrupted
     */
    public double[] values(CompiledPlan plan, RunSettings settings, RunMonitor monitor) {
        return asOutcome(plan)
                .map(aimed -> values(Simulation.outcomes(aimed, settings, monitor)))
                .orElseGet(() -> values(plan, Outputs.of(plan, settings, settings.iterations(), of, monitor)));
    }

    /** The same of outcomes that are there. */
    public double[] values(Outcomes outcomes) {
        return isMoney() ? outcomes.cost() : outcomes.duration();
    }

    /** The same of an output that is there. */
    public double[] values(CompiledPlan plan, Output output) {
        return switch (quantity) {
            case FINISH -> work(plan, output.finish());
            case START -> work(plan, output.start());
            case DURATION -> output.duration();
            case COST -> money(output);
        };
    }

    private double[] money(Output output) {
        if (Arrays.stream(output.cost()).allMatch(money -> money == 0)) {
            throw new IllegalArgumentException("no money stands on \"" + of + "\"");
        }
        return output.cost();
    }

    private static double[] work(CompiledPlan plan, double[] instants) {
        return Arrays.stream(instants).map(plan.network().frame()::work).toArray();
    }
}
