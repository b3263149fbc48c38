package app.tychon.server.plan;

import java.util.UUID;

/** A plan was read anew after an edit of which it was not known whether it was kept; it may be another one now. */
public record PlanLookedUp(UUID project, long revision) {}
