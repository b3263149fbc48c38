package app.tychon.server.plan;

import app.tychon.core.model.Action;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.PlanRules;
import app.tychon.core.model.Problem;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Schedule;
import app.tychon.core.schedule.Scheduler;
import app.tychon.core.simulation.money.CostItem;
import app.tychon.core.simulation.money.PlannedCost;
import app.tychon.core.simulation.money.ResponseActions;
import java.util.List;

/**
 * A plan as it stands at a revision, with its dates and what it costs.
 *
 * @param items its money, item by item, without uncertainty
 * @param cost  all of it, with what responses cost that are decided on
 */
public record LoadedPlan(
        long revision, Plan plan, Network network, Schedule schedule, List<CostItem> items, double cost) {
    /**
     * The next version of the plan. Where only scenarios and briefs differ, what is calculated stays.
     *
     * @throws InvalidPlanException with every problem of the plan
     */
    public LoadedPlan next(long next, Plan later) {
        if (!isSameWork(later)) {
            return of(next, later);
        }
        List<Problem> problems = PlanRules.problems(later);
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        return new LoadedPlan(next, later, network, schedule, items, cost);
    }

    /** Whether another version differs in scenarios and briefs alone. */
    public boolean isSameWork(Plan other) {
        return plan.alone().equals(other.alone());
    }

    public static LoadedPlan of(long revision, Plan plan) {
        Network network = Network.of(plan);
        List<CostItem> items = PlannedCost.items(network);
        double decided =
                ResponseActions.decided(plan).stream().mapToDouble(Action::cost).sum();
        double cost = items.stream().mapToDouble(CostItem::plannedCost).sum() + decided;
        return new LoadedPlan(revision, plan, network, Scheduler.schedule(network), items, cost);
    }

    /** The planned amount of a cost line, of which its range speaks. */
    public double whole(String line) {
        return items.stream()
                .filter(item -> item.id().equals(line))
                .findFirst()
                .orElseThrow()
                .whole();
    }
}
