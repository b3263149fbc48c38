package app.tychon.server.runs;

import app.tychon.server.problems.NotFoundException;
import jakarta.annotation.Nullable;
import jakarta.persistence.EntityManager;
import jakarta.persistence.Query;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Collection;
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

    Optional<UUID> projectOf(UUID run) {
        return entities.createQuery("select r.projectId from RunEntity r where r.id = :run", UUID.class)
                .setParameter("run", run)
                .getResultStream()
                .findFirst();
    }

    /** How many runs of somebody's are at work or wait. */
    long running(String person) {
        return entities.createQuery(
                        "select count(r) from RunEntity r where r.madeBy = :person and r.state = :running", Long.class)
                .setParameter("person", person)
                .setParameter("running", RunState.RUNNING)
                .getSingleResult();
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

    /** Gives a run another name and note, whatever else becomes of it meanwhile. */
    boolean call(UUID id, String name, String note) {
        return entities.createQuery("update RunEntity r set r.name = :name, r.note = :note where r.id = :id")
                        .setParameter("name", name)
                        .setParameter("note", note)
                        .setParameter("id", id)
                        .executeUpdate()
                > 0;
    }

    /** @param moment when it was deleted; null to bring it back */
    boolean putAside(UUID id, LocalDateTime moment) {
        return entities.createQuery("update RunEntity r set r.deletedAt = :moment where r.id = :id")
                        .setParameter("moment", moment)
                        .setParameter("id", id)
                        .executeUpdate()
                > 0;
    }

    /** What became of a run that was at work; one that a server believed lost ends by its results all the same. */
    boolean finish(UUID id, PackedRun packed, RunState how) {
        return entities.createQuery("update RunEntity r set r.state = :how, r.done = :done, r.levelFinish = :finish,"
                                + " r.levelCost = :cost, r.failure = null, r.bytes = :bytes, r.endedAt = :now"
                                + " where r.id = :id and r.state in (:open)")
                        .setParameter("how", how)
                        .setParameter("done", packed.iterations())
                        .setParameter("finish", packed.levelFinish())
                        .setParameter("cost", packed.levelCost())
                        .setParameter("bytes", packed.bytes())
                        .setParameter("now", LocalDateTime.now(ZoneOffset.UTC))
                        .setParameter("id", id)
                        .setParameter("open", List.of(RunState.RUNNING, RunState.INTERRUPTED))
                        .executeUpdate()
                > 0;
    }

    /** Ends a run without results, if it has not ended yet. */
    boolean end(UUID id, RunState how, String why) {
        return ending(
                                "update RunEntity r set r.state = :how, r.failure = :why, r.endedAt = :now"
                                        + " where r.state = :running and r.id = :id",
                                how,
                                why)
                        .setParameter("id", id)
                        .executeUpdate()
                > 0;
    }

    /** Ends all that are said to run, but for those of some servers. */
    void endAll(RunState how, String why, Collection<String> but) {
        String all =
                "update RunEntity r set r.state = :how, r.failure = :why, r.endedAt = :now where r.state = :running";
        if (but.isEmpty()) {
            ending(all, how, why).executeUpdate();
        } else {
            ending(all + " and (r.server is null or r.server not in (:but))", how, why)
                    .setParameter("but", but)
                    .executeUpdate();
        }
    }

    /** What a server was working at. */
    List<UUID> of(String server) {
        return entities.createQuery(
                        "select r.id from RunEntity r where r.state = :running and r.server = :server order by r.startedAt",
                        UUID.class)
                .setParameter("running", RunState.RUNNING)
                .setParameter("server", server)
                .getResultList();
    }

    private Query ending(String statement, RunState how, String why) {
        return entities.createQuery(statement)
                .setParameter("how", how)
                .setParameter("why", why)
                .setParameter("now", LocalDateTime.now(ZoneOffset.UTC))
                .setParameter("running", RunState.RUNNING);
    }

    /** A run that was cut short is at work again, at a server; of two who ask, one is told so. */
    boolean resume(UUID id, @Nullable String server) {
        return entities.createQuery("update RunEntity r set r.state = :running, r.failure = null, r.endedAt = null,"
                                + " r.server = :server"
                                + " where r.id = :id and r.deletedAt is null and r.state in (:short)")
                        .setParameter("running", RunState.RUNNING)
                        .setParameter("server", server)
                        .setParameter("id", id)
                        .setParameter("short", List.of(RunState.STOPPED, RunState.INTERRUPTED))
                        .executeUpdate()
                > 0;
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
