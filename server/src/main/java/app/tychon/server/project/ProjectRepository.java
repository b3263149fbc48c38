package app.tychon.server.project;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

public interface ProjectRepository extends Repository<ProjectEntity, UUID> {
    Optional<ProjectEntity> findById(UUID id);

    List<ProjectEntity> findAllByOrderByEditedAtDesc();

    Optional<ProjectEntity> findFirstByCodeOrderByCreatedAt(String code);

    /** Whoever edits a project's inputs holds it until the transaction ends. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select p from ProjectEntity p where p.id = :id")
    Optional<ProjectEntity> findForEditing(UUID id);

    @Query("select p.revision from ProjectEntity p where p.id = :id")
    Optional<Long> findRevision(UUID id);

    void deleteById(UUID id);
}
