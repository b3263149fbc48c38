package app.tychon.server.inbox;

import app.tychon.server.people.People;
import app.tychon.server.project.ProjectEntity;
import app.tychon.server.project.ProjectRepository;
import app.tychon.server.rights.MembershipEntity;
import app.tychon.server.rights.Memberships;
import app.tychon.server.rights.Who;
import jakarta.annotation.Nullable;
import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What waits for people. */
@Service
public class Inbox {
    private static final int MOST = 200;
    private static final int DAYS_KEPT = 90;

    private final EntityManager entities;
    private final ProjectRepository projects;
    private final People people;
    private final Memberships memberships;

    Inbox(EntityManager entities, ProjectRepository projects, People people, Memberships memberships) {
        this.entities = entities;
        this.projects = projects;
        this.people = people;
        this.memberships = memberships;
    }

    /**
     * Something that waits for whoever asks.
     *
     * @param by what whoever caused it is called
     * @param words what was said
     */
    record NoticeView(
            UUID id,
            UUID project,
            String projectName,
            NoticeKind kind,
            About about,
            @Nullable String by,
            @Nullable String words,
            Instant at,
            boolean read) {}

    /** Lets something wait for somebody, unless it comes from themselves. */
    @Transactional
    public void put(UUID account, UUID project, NoticeKind kind, About about, String words) {
        UUID by = Who.accountNow().orElse(null);
        if (!account.equals(by)) {
            entities.persist(new NoticeEntity(account, project, kind, about, by, words));
        }
    }

    /** What waits for somebody, newest first, of projects that they may read. */
    @Transactional(readOnly = true)
    List<NoticeView> of(UUID account) {
        List<NoticeEntity> all = entities.createQuery(
                        "select n from NoticeEntity n where n.accountId = :account and n.madeAt > :since"
                                + " order by n.madeAt desc",
                        NoticeEntity.class)
                .setParameter("account", account)
                .setParameter("since", LocalDateTime.now(ZoneOffset.UTC).minusDays(DAYS_KEPT))
                .setMaxResults(MOST)
                .getResultList();
        Map<UUID, String> names = people.names(all.stream()
                .map(NoticeEntity::byAccount)
                .filter(Objects::nonNull)
                .toList());
        Set<UUID> about = all.stream().map(NoticeEntity::projectId).collect(Collectors.toSet());
        Map<UUID, String> readable = memberships.findAllByAccountId(account).stream()
                .map(MembershipEntity::projectId)
                .filter(about::contains)
                .collect(Collectors.toMap(
                        Function.identity(),
                        id -> projects.findById(id).map(ProjectEntity::name).orElse("")));
        return all.stream()
                .filter(one -> readable.containsKey(one.projectId()))
                .map(one -> new NoticeView(
                        one.id(),
                        one.projectId(),
                        readable.get(one.projectId()),
                        one.kind(),
                        one.about(),
                        names.get(one.byAccount()),
                        one.words(),
                        one.madeAt().toInstant(ZoneOffset.UTC),
                        one.read()))
                .toList();
    }

    /** Every night: what is shown no longer. */
    @Scheduled(cron = "0 12 3 * * *")
    @Transactional
    public void sweep() {
        entities.createQuery("delete from NoticeEntity n where n.madeAt < :before")
                .setParameter("before", LocalDateTime.now(ZoneOffset.UTC).minusDays(DAYS_KEPT))
                .executeUpdate();
    }

    @Transactional
    void read(UUID account, Collection<UUID> notices) {
        entities.createQuery("update NoticeEntity n set n.readAt = :now where n.accountId = :account"
                        + " and n.id in :notices and n.readAt is null")
                .setParameter("now", LocalDateTime.now(ZoneOffset.UTC))
                .setParameter("account", account)
                .setParameter("notices", notices)
                .executeUpdate();
    }
}
