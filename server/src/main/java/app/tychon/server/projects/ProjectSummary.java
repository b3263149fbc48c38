package app.tychon.server.projects;

import app.tychon.server.project.ProjectView;
import jakarta.annotation.Nullable;
import java.time.LocalDateTime;

/**
 * A project as the list shows it.
 *
 * @param finish when it is planned to finish
 * @param kept by the last recorded run
 * @param activities how many it has
 */
record ProjectSummary(ProjectView project, LocalDateTime finish, @Nullable KeptFinish kept, long activities) {

    /**
     * A finish that is kept with a chance.
     *
     * @param level percent
     */
    record KeptFinish(int level, LocalDateTime finish) {}
}
