package app.tychon.server.comments;

import app.tychon.exchange.changes.PlanObjects;
import app.tychon.server.comments.CommentController.CommentChange;
import app.tychon.server.comments.CommentController.CommentView;
import app.tychon.server.comments.CommentController.CommentWords;
import app.tychon.server.events.ProjectEvents;
import app.tychon.server.inbox.Inbox;
import app.tychon.server.inbox.NoticeKind;
import app.tychon.server.people.People;
import app.tychon.server.people.People.PersonNamed;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.problems.NotFoundException;
import app.tychon.server.project.ProjectRepository;
import app.tychon.server.rights.MembershipEntity;
import app.tychon.server.rights.Memberships;
import app.tychon.server.rights.Who;
import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** What people say of rows, risks, runs and briefs. Whoever is named in it, or is answered, finds it in their inbox. */
@Service
class Comments {
    private static final String RUNS = "runs";

    private final EntityManager entities;
    private final TransactionTemplate transaction;
    private final ProjectRepository projects;
    private final PlanStore plans;
    private final People people;
    private final Memberships memberships;
    private final Inbox inbox;
    private final ProjectEvents events;

    Comments(
            EntityManager entities,
            TransactionTemplate transaction,
            ProjectRepository projects,
            PlanStore plans,
            People people,
            Memberships memberships,
            Inbox inbox,
            ProjectEvents events) {
        this.entities = entities;
        this.transaction = transaction;
        this.projects = projects;
        this.plans = plans;
        this.people = people;
        this.memberships = memberships;
        this.inbox = inbox;
        this.events = events;
    }

    /** All of a project, in the order in which they were made. */
    List<CommentView> of(UUID project) {
        List<CommentEntity> all = entities.createQuery(
                        "select c from CommentEntity c where c.projectId = :project order by c.madeAt, c.id",
                        CommentEntity.class)
                .setParameter("project", projects.own(project))
                .getResultList();
        Map<UUID, String> names = people.names(all.stream()
                .flatMap(one -> Stream.of(one.accountId(), one.resolvedBy()))
                .filter(Objects::nonNull)
                .collect(Collectors.toSet()));
        UUID me = Who.accountNow().orElse(null);
        return all.stream().map(one -> view(one, names, me)).toList();
    }

    private static CommentView view(CommentEntity one, Map<UUID, String> names, UUID me) {
        return new CommentView(
                one.id(),
                one.about(),
                one.answerTo(),
                names.get(one.accountId()),
                Objects.equals(one.accountId(), me),
                one.words(),
                instant(one.madeAt()),
                instant(one.editedAt()),
                instant(one.resolvedAt()),
                names.get(one.resolvedBy()));
    }

    private static Instant instant(LocalDateTime time) {
        return time == null ? null : time.toInstant(ZoneOffset.UTC);
    }

    void say(UUID project, CommentWords words) {
        UUID own = projects.own(project);
        if (!words.about().section().equals(RUNS)
                && PlanObjects.find(
                                plans.find(project).plan(),
                                words.about().section(),
                                words.about().key())
                        .isEmpty()) {
            throw new NotFoundException("What this comment is about is no longer there. Nothing was kept.");
        }
        transaction.executeWithoutResult(status -> {
            CommentEntity answered = words.answerTo() == null ? null : find(own, words.answerTo());
            CommentEntity comment = new CommentEntity(
                    own,
                    words.about(),
                    answered == null ? null : answered.answerTo() == null ? answered.id() : answered.answerTo(),
                    Who.accountNow().orElse(null),
                    words.words().strip());
            entities.persist(comment);
            tellPeople(own, comment, answered);
        });
        tellWindows(own);
    }

    /** Those named find it, and whoever is answered and was not named. */
    private void tellPeople(UUID project, CommentEntity comment, CommentEntity answered) {
        Set<UUID> named = named(project, comment.words());
        named.forEach(one -> inbox.put(one, project, NoticeKind.MENTION, comment.about(), comment.words()));
        if (answered != null && answered.accountId() != null && !named.contains(answered.accountId())) {
            inbox.put(answered.accountId(), project, NoticeKind.ANSWER, comment.about(), comment.words());
        }
    }

    /** Members whose name stands behind an @. */
    private Set<UUID> named(UUID project, String words) {
        List<UUID> members = memberships.findAllByProjectIdOrderBySince(project).stream()
                .map(MembershipEntity::accountId)
                .toList();
        return people.called(members).values().stream()
                .filter(person -> words.toLowerCase(Locale.ROOT)
                        .contains("@" + person.name().toLowerCase(Locale.ROOT)))
                .map(PersonNamed::id)
                .collect(Collectors.toSet());
    }

    void change(UUID project, UUID id, CommentChange change) {
        UUID own = projects.own(project);
        transaction.executeWithoutResult(status -> {
            CommentEntity comment = find(own, id);
            if (change.words() != null) {
                mine(comment).say(change.words().strip());
            }
            if (change.resolved() != null) {
                if (change.resolved()) {
                    comment.resolve(Who.accountNow().orElse(null));
                } else {
                    comment.open();
                }
            }
        });
        tellWindows(own);
    }

    void remove(UUID project, UUID id) {
        UUID own = projects.own(project);
        transaction.executeWithoutResult(status -> entities.remove(mine(find(own, id))));
        tellWindows(own);
    }

    private static CommentEntity mine(CommentEntity comment) {
        if (!Objects.equals(comment.accountId(), Who.accountNow().orElse(null))) {
            throw new AccessDeniedException("This was said by somebody else. Nothing was changed.");
        }
        return comment;
    }

    private CommentEntity find(UUID project, UUID id) {
        CommentEntity comment = entities.find(CommentEntity.class, id);
        if (comment == null || !comment.projectId().equals(project)) {
            throw new NotFoundException("There is no such comment; it may have been taken away.");
        }
        return comment;
    }

    private void tellWindows(UUID project) {
        events.publish(project, "comments", Map.of());
    }
}
