package app.tychon.server.project;

import app.tychon.core.model.Project;
import app.tychon.exchange.Words;
import jakarta.annotation.Nullable;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.UUID;

/**
 * A project as the list and the frame show it.
 *
 * @param confidence percent, the level that matters to it
 * @param revision counts the changes of its inputs
 */
public record ProjectView(
        UUID id,
        String code,
        String name,
        String currency,
        LocalDateTime start,
        @Nullable LocalDateTime dataDate,
        String calendar,
        String lagCalendar,
        @Nullable LocalDateTime targetFinish,
        @Nullable Double targetCost,
        int confidence,
        long revision,
        Instant editedAt) {

    public static ProjectView of(ProjectEntity entity) {
        Project project = entity.toCore();
        return new ProjectView(
                entity.id(),
                project.id(),
                project.name(),
                project.currency(),
                project.start(),
                project.dataDate().orElse(null),
                project.calendar(),
                Words.of(project.lagCalendar()),
                project.targets().finish().orElse(null),
                project.targets().cost().orElse(null),
                project.targets().confidence(),
                entity.revision(),
                entity.editedAt().toInstant(ZoneOffset.UTC));
    }

    /** The same project, said to be at the revision that was shown with it. */
    public ProjectView atRevision(long shown) {
        return new ProjectView(
                id,
                code,
                name,
                currency,
                start,
                dataDate,
                calendar,
                lagCalendar,
                targetFinish,
                targetCost,
                confidence,
                shown,
                editedAt);
    }
}
