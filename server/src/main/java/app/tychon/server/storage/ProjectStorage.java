package app.tychon.server.storage;

import app.tychon.server.problems.ConflictException;
import jakarta.persistence.EntityManager;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.util.unit.DataSize;

/** How much may be kept of one project's recorded runs and issued briefs; those that were deleted do not count. */
@Component
public class ProjectStorage {
    private final EntityManager entities;
    private final DataSize most;

    public ProjectStorage(EntityManager entities, @Value("${tychon.project-storage}") DataSize most) {
        this.entities = entities;
        this.most = most;
    }

    /**
     * Before anything more is kept.
     *
     * @throws ConflictException where as much is kept as may be
     */
    public void checkRoom(UUID project) {
        if (bytes(project) >= most.toBytes()) {
            throw new ConflictException("The recorded runs and issued briefs of this project take "
                    + most.toMegabytes() + " MB, which is as much as one project may keep."
                    + " Nothing was begun: delete runs that are no longer needed first.");
        }
    }

    private long bytes(UUID project) {
        return ((Number) entities.createNativeQuery(
                                "select coalesce((select sum(bytes) from run where project_id = :project and deleted_at is null), 0)"
                                        + " + coalesce((select sum(bytes) from brief_issue where project_id = :project), 0)")
                        .setParameter("project", project)
                        .getSingleResult())
                .longValue();
    }
}
