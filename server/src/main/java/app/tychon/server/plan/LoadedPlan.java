package app.tychon.server.plan;

import app.tychon.core.model.Plan;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Schedule;
import app.tychon.core.schedule.Scheduler;
import app.tychon.core.simulation.money.PlannedCost;

/** A plan as it stands at a revision, with its dates and what it costs. */
public record LoadedPlan(long revision, Plan plan, Network network, Schedule schedule, double cost) {
    public static LoadedPlan of(long revision, Plan plan) {
        Network network = Network.of(plan);
        return new LoadedPlan(revision, plan, network, Scheduler.schedule(network), PlannedCost.of(network));
    }
}
