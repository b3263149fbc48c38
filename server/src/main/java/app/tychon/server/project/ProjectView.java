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
 * @param revision counts the edits
 * @param inputsRevision the last revision that changed something that is simulated
 * @param programme whether its plan is made of those of other projects
 * @param scenario where this is a scenario of another project that is worked in: which
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
        Instant editedAt,
        long inputsRevision,
        @Nullable ScenarioName scenario,
        boolean programme) {

    /**
     * A scenario that is worked in.
     *
     * @param of the project it is a scenario of
     */
    public record ScenarioName(UUID of, String id, String name) {}

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
                entity.editedAt().toInstant(ZoneOffset.UTC),
                entity.inputsRevision(),
                entity.scenarioOf()
                        .map(of -> new ScenarioName(of, entity.scenario(), entity.scenarioName()))
                        .orElse(null),
                entity.isProgramme());
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
                editedAt,
                inputsRevision,
                scenario,
                programme);
    }
}
