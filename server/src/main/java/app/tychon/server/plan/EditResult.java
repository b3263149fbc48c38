package app.tychon.server.plan;

import java.time.LocalDateTime;
import java.util.List;

/**
 * What an edit has led to.
 *
 * @param revision of the project after it
 * @param activities every activity that now differs, by the edit itself or in its dates
 * @param branches every branch, with its dates
 */
record EditResult(long revision, LocalDateTime finish, List<ActivityView> activities, List<BranchView> branches) {}
