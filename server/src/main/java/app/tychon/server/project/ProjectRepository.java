package app.tychon.server.project;

import app.tychon.server.problems.NotFoundException;
import jakarta.persistence.LockModeType;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

public interface ProjectRepository extends Repository<ProjectEntity, UUID> {
    Optional<ProjectEntity> findById(UUID id);

    /** @throws NotFoundException where there is no such project */
    default ProjectView view(UUID id) {
        return findById(id).map(ProjectView::of).orElseThrow(() -> new NotFoundException("There is no such project."));
    }

    /** The project that a place is of where a scenario is worked in; every other is its own. */
    default UUID own(UUID project) {
        return findById(project).flatMap(ProjectEntity::scenarioOf).orElse(project);
    }

    /** Projects of their own, no scenarios of others. */
    List<ProjectEntity> findAllByScenarioOfIsNullOrderByEditedAtDesc();

    /** Scenarios of a project that somebody has worked in. */
    List<ProjectEntity> findAllByScenarioOf(UUID project);

    Optional<ProjectEntity> findByScenarioOfAndScenario(UUID project, String scenario);

    Optional<ProjectEntity> findFirstByCodeAndScenarioOfIsNullOrderByCreatedAt(String code);

    /** Whoever edits a project's inputs holds it until the transaction ends. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select p from ProjectEntity p where p.id = :id")
    Optional<ProjectEntity> findForEditing(UUID id);

    @Query("select p.revision from ProjectEntity p where p.id = :id")
    Optional<Long> findRevision(UUID id);

    @Query("select p.id from ProjectEntity p where p.deletedAt < :before")
    List<UUID> findDeletedBefore(LocalDateTime before);

    /** What each project's last run that has results says at the level that mattered to it. */
    @Query("select r.projectId as project, r.level as level, r.levelFinish as finish from RunEntity r where r.number ="
            + " (select max(s.number) from RunEntity s where s.projectId = r.projectId and s.levelFinish is not null"
            + " and s.deletedAt is null)")
    List<LastOdds> findLastOdds();

    /** The finish of a project that is kept with a level. */
    interface LastOdds {
        UUID getProject();

        int getLevel();

        LocalDateTime getFinish();
    }

    @Query("select a.projectId as project, count(a) as activities from ActivityEntity a group by a.projectId")
    List<Size> countActivities();

    /** How many activities a project has. */
    interface Size {
        UUID getProject();

        long getActivities();
    }

    void deleteById(UUID id);
}
