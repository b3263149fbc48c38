package app.tychon.server.plan;

import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Repository;

/** The rows of a plan: one query a table, never one a row. */
@Repository
class PlanRecords {
    private final EntityManager entities;

    PlanRecords(EntityManager entities) {
        this.entities = entities;
    }

    /** All rows of a kind that belong to a project, in their order. */
    <T> List<T> of(UUID project, Class<T> kind) {
        return entities.createQuery(
                        "select e from " + kind.getSimpleName() + " e where e.projectId = :project order by e.position",
                        kind)
                .setParameter("project", project)
                .getResultList();
    }

    List<ActivityEntity> activities(UUID project, Iterable<String> codes) {
        return entities.createQuery(
                        "select a from ActivityEntity a where a.projectId = :project and a.code in :codes",
                        ActivityEntity.class)
                .setParameter("project", project)
                .setParameter("codes", codes)
                .getResultList();
    }

    /** Removes all links into activities. */
    void deleteLinksInto(UUID project, Collection<UUID> activities) {
        entities.createQuery("delete from LinkEntity l where l.projectId = :project and l.toId in :activities")
                .setParameter("project", project)
                .setParameter("activities", activities)
                .executeUpdate();
    }

    int nextLinkPosition(UUID project) {
        return 1
                + entities.createQuery(
                                "select coalesce(max(l.position), -1) from LinkEntity l where l.projectId = :project",
                                Integer.class)
                        .setParameter("project", project)
                        .getSingleResult();
    }

    void insert(Object row) {
        entities.persist(row);
    }

    /** Sends what was inserted so far, so that rows which refer to it find it. */
    void flush() {
        entities.flush();
    }
}
