package app.tychon.server.plan;

import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Repository;

/** The rows of a plan: one query a table, never one a row. */
@Repository
public class PlanRecords {
    private final EntityManager entities;

    PlanRecords(EntityManager entities) {
        this.entities = entities;
    }

    /** All rows of a kind that belong to a project, in their order. */
    public <T> List<T> of(UUID project, Class<T> kind) {
        return query("select e from %s e where e.projectId = :project order by e.position", kind, project, kind);
    }

    /** Those of a project's rows that have one of these codes. */
    public <T extends RowEntity> List<T> of(UUID project, Class<T> kind, Collection<String> codes) {
        if (codes.isEmpty()) {
            return List.of();
        }
        return entities.createQuery(
                        "select e from %s e where e.projectId = :project and e.code in :codes"
                                .formatted(kind.getSimpleName()),
                        kind)
                .setParameter("project", project)
                .setParameter("codes", codes)
                .getResultList();
    }

    /** The key of every row of a kind, by code. */
    public Map<String, UUID> keys(UUID project, Class<? extends RowEntity> kind) {
        return query("select e.code, e.id from %s e where e.projectId = :project", kind, project, Object[].class)
                .stream()
                .collect(Collectors.toMap(row -> (String) row[0], row -> (UUID) row[1]));
    }

    /** The place of every row of a kind, by code. */
    Map<String, Integer> positions(UUID project, Class<? extends RowEntity> kind) {
        return query("select e.code, e.position from %s e where e.projectId = :project", kind, project, Object[].class)
                .stream()
                .collect(Collectors.toMap(row -> (String) row[0], row -> (Integer) row[1]));
    }

    private <T> List<T> query(String text, Class<?> kind, UUID project, Class<T> result) {
        return entities.createQuery(text.formatted(kind.getSimpleName()), result)
                .setParameter("project", project)
                .getResultList();
    }

    void delete(UUID project, Class<? extends RowEntity> kind, Collection<String> codes) {
        if (!codes.isEmpty()) {
            entities.createQuery("delete from %s e where e.projectId = :project and e.code in :codes"
                            .formatted(kind.getSimpleName()))
                    .setParameter("project", project)
                    .setParameter("codes", codes)
                    .executeUpdate();
        }
    }

    /** Does what a statement says with the rows whose {@code keys} are given. */
    public void delete(String statement, Collection<UUID> keys) {
        entities.createQuery(statement).setParameter("keys", keys).executeUpdate();
    }

    /** The first place behind all rows of a kind. */
    public int end(UUID project, Class<?> kind) {
        return 1
                + query(
                                "select coalesce(max(e.position), -1) from %s e where e.projectId = :project",
                                kind, project, Integer.class)
                        .get(0);
    }

    public void insert(Object row) {
        entities.persist(row);
    }

    /** Sends what was inserted so far, so that rows which refer to it find it. */
    public void flush() {
        entities.flush();
    }
}
