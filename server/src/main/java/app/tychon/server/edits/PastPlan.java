package app.tychon.server.edits;

import app.tychon.core.model.Plan;
import java.time.Instant;
import java.util.Set;

/**
 * A plan as it was for a while.
 *
 * @param plan    as it was
 * @param since   when the edit that made it so was kept; when the project began for the first
 * @param touched keys of the objects that it has otherwise than the plan after it
 */
public record PastPlan(Plan plan, Instant since, Set<String> touched) {}
