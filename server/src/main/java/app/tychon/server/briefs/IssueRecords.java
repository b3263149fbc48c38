package app.tychon.server.briefs;

import app.tychon.server.problems.NotFoundException;
import jakarta.persistence.EntityManager;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Repository;

/** Issued briefs and their links in the database. */
@Repository
class IssueRecords {
    private final EntityManager entities;

    IssueRecords(EntityManager entities) {
        this.entities = entities;
    }

    int nextNumber(UUID project) {
        return entities.createQuery(
                                "select coalesce(max(i.number), 0) from IssueEntity i where i.projectId = :project",
                                Integer.class)
                        .setParameter("project", project)
                        .getSingleResult()
                + 1;
    }

    void insert(IssueEntity issue, IssueDataEntity data) {
        entities.persist(issue);
        entities.flush();
        entities.persist(data);
    }

    List<IssueEntity> ofProject(UUID project) {
        return entities.createQuery(
                        "select i from IssueEntity i where i.projectId = :project order by i.number desc",
                        IssueEntity.class)
                .setParameter("project", project)
                .getResultList();
    }

    Optional<IssueEntity> restingOn(UUID run) {
        return entities
                .createQuery("select i from IssueEntity i where i.runId = :run order by i.number", IssueEntity.class)
                .setParameter("run", run)
                .setMaxResults(1)
                .getResultList()
                .stream()
                .findFirst();
    }

    IssueEntity find(UUID project, UUID id) {
        return Optional.ofNullable(entities.find(IssueEntity.class, id))
                .filter(issue -> issue.projectId().equals(project))
                .orElseThrow(() -> new NotFoundException("There is no such issued brief."));
    }

    IssueDataEntity data(UUID issue) {
        return entities.find(IssueDataEntity.class, issue);
    }

    void insert(ReadingLinkEntity link) {
        entities.persist(link);
    }

    List<ReadingLinkEntity> links(UUID issue) {
        return entities.createQuery(
                        "select l from ReadingLinkEntity l where l.issueId = :issue order by l.madeAt",
                        ReadingLinkEntity.class)
                .setParameter("issue", issue)
                .getResultList();
    }

    /** The link of a digest that has not been withdrawn. */
    Optional<ReadingLinkEntity> link(byte[] digest) {
        return entities
                .createQuery(
                        "select l from ReadingLinkEntity l where l.digest = :digest and l.withdrawnAt is null",
                        ReadingLinkEntity.class)
                .setParameter("digest", digest)
                .getResultList()
                .stream()
                .findFirst();
    }

    /** @return whether there was one to withdraw */
    boolean withdraw(UUID issue, UUID link, LocalDateTime moment) {
        return entities.createQuery("update ReadingLinkEntity l set l.withdrawnAt = :moment"
                                + " where l.id = :link and l.issueId = :issue and l.withdrawnAt is null")
                        .setParameter("moment", moment)
                        .setParameter("link", link)
                        .setParameter("issue", issue)
                        .executeUpdate()
                > 0;
    }
}
