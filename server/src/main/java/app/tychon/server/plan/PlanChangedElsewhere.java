package app.tychon.server.plan;

import java.util.UUID;

/** A project was edited at another server; what is kept of it here is old. */
public record PlanChangedElsewhere(UUID project) {}
