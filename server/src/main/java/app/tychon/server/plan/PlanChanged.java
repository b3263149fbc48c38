package app.tychon.server.plan;

import java.util.UUID;

/**
 * A project was edited; published when the change is safely stored.
 *
 * @param simulated whether something has changed that is simulated; else scenarios alone
 * @param followed  whether it is a scenario that follows its plan, which nobody edited
 */
public record PlanChanged(UUID project, LoadedPlan plan, boolean simulated, boolean followed) {}
