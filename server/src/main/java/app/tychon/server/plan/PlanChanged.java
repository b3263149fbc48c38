package app.tychon.server.plan;

import java.util.UUID;

/** A project's inputs have changed; published when the change is safely stored. */
public record PlanChanged(UUID project, LoadedPlan plan) {}
