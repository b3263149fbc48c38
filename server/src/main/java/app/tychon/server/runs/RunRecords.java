package app.tychon.server.runs;

import app.tychon.server.problems.NotFoundException;
import jakarta.persistence.EntityManager;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Repository;

@Repository
class RunRecords {
    private final EntityManager entities;

    RunRecords(EntityManager entities) {
        this.entities = entities;
    }

    RunEntity find(UUID id) {
        RunEntity run = entities.find(RunEntity.class, id);
        if (run == null) {
            throw new NotFoundException("There is no such run.");
        }
        return run;
    }

    RunDataEntity data(UUID run) {
        return entities.find(RunDataEntity.class, run);
    }

    List<RunEntity> ofProject(UUID project) {
        return entities.createQuery(
                        "select r from RunEntity r where r.projectId = :project and r.deletedAt is null"
                                + " order by r.number desc",
                        RunEntity.class)
                .setParameter("project", project)
                .getResultList();
    }

    List<RunEntity> deletedBefore(LocalDateTime moment) {
        return entities.createQuery("select r from RunEntity r where r.deletedAt < :moment", RunEntity.class)
                .setParameter("moment", moment)
                .getResultList();
    }

    List<RunEntity> running() {
        return entities.createQuery("select r from RunEntity r where r.state = :state", RunEntity.class)
                .setParameter("state", RunState.RUNNING)
                .getResultList();
    }

    int nextNumber(UUID project) {
        return 1
                + entities.createQuery(
                                "select coalesce(max(r.number), 0) from RunEntity r where r.projectId = :project",
                                Integer.class)
                        .setParameter("project", project)
                        .getSingleResult();
    }

    Optional<RunOutputEntity> output(UUID run, String item) {
        return Optional.ofNullable(entities.find(RunOutputEntity.class, new RunOutputEntity.Key(run, item)));
    }

    void replaceOutputs(UUID run, List<RunOutputEntity> outputs) {
        entities.createQuery("delete from RunOutputEntity o where o.runId = :run")
                .setParameter("run", run)
                .executeUpdate();
        outputs.forEach(entities::persist);
    }

    void insert(RunEntity run, RunDataEntity data) {
        entities.persist(run);
        entities.flush();
        entities.persist(data);
    }

    void delete(RunEntity run) {
        replaceOutputs(run.id(), List.of());
        entities.remove(data(run.id()));
        entities.flush();
        entities.remove(run);
    }
}
