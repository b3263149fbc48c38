package app.tychon.server.programmes;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Repository;

/** Programmes in the database. */
@Repository
class ProgrammeRecords {
    private final EntityManager entities;

    ProgrammeRecords(EntityManager entities) {
        this.entities = entities;
    }

    List<MemberEntity> members(UUID programme) {
        return entities.createQuery(
                        "select m from ProgrammeMemberEntity m where m.programmeId = :programme order by m.position",
                        MemberEntity.class)
                .setParameter("programme", programme)
                .getResultList();
    }

    Optional<MemberEntity> member(UUID programme, UUID project) {
        return members(programme).stream()
                .filter(member -> member.projectId().equals(project))
                .findFirst();
    }

    /** The members of all programmes. */
    List<MemberEntity> all() {
        return entities.createQuery(
                        "select m from ProgrammeMemberEntity m order by m.programmeId, m.position", MemberEntity.class)
                .getResultList();
    }

    /** The programmes that a project is part of. */
    List<UUID> programmesOf(UUID project) {
        return entities.createQuery(
                        "select m.programmeId from ProgrammeMemberEntity m where m.projectId = :project", UUID.class)
                .setParameter("project", project)
                .getResultList();
    }

    List<TieEntity> ties(UUID programme) {
        return entities.createQuery(
                        "select t from ProgrammeTieEntity t where t.programmeId = :programme order by t.position",
                        TieEntity.class)
                .setParameter("programme", programme)
                .getResultList();
    }

    /** The first place behind all members, or ties. */
    int end(String kind, UUID programme) {
        return 1
                + entities.createQuery(
                                "select coalesce(max(e.position), -1) from " + kind
                                        + " e where e.programmeId = :programme",
                                Integer.class)
                        .setParameter("programme", programme)
                        .getSingleResult();
    }

    void insert(Object row) {
        entities.persist(row);
    }

    void remove(Object row) {
        entities.remove(row);
    }

    void flush() {
        entities.flush();
    }
}
