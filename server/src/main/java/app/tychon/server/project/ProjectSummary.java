package app.tychon.server.project;

import jakarta.annotation.Nullable;
import java.time.LocalDateTime;

/**
 * A project as the list shows it.
 *
 * @param finish when it is planned to finish
 * @param p80 when four futures in five have finished, by the last recorded run
 * @param activities how many it has
 */
record ProjectSummary(ProjectView project, LocalDateTime finish, @Nullable LocalDateTime p80, long activities) {}
