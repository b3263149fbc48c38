package app.tychon.server.confirm;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.server.confirm.ConfirmController.AnswerWords;
import app.tychon.server.confirm.ConfirmController.AskWords;
import app.tychon.server.confirm.ConfirmController.ConfirmationState;
import app.tychon.server.confirm.ConfirmController.ConfirmationView;
import app.tychon.server.events.ProjectEvents;
import app.tychon.server.inbox.About;
import app.tychon.server.inbox.Inbox;
import app.tychon.server.inbox.NoticeKind;
import app.tychon.server.people.People;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.problems.NotFoundException;
import app.tychon.server.project.ProjectRepository;
import app.tychon.server.rights.Memberships;
import app.tychon.server.rights.Who;
import jakarta.persistence.EntityManager;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What owners were asked to confirm, and what they said. What is changed after it was confirmed is no longer confirmed. Where a
 * scenario is worked in it is the plan itself that is confirmed.
 */
@Service
class Confirmations {
    private final EntityManager entities;
    private final TransactionTemplate transaction;
    private final ProjectRepository projects;
    private final PlanStore plans;
    private final People people;
    private final Memberships memberships;
    private final Inbox inbox;
    private final ProjectEvents events;

    Confirmations(
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

    /** All of a project whose objects are there. */
    List<ConfirmationView> of(UUID place) {
        UUID project = projects.own(place);
        Plan plan = plans.find(project).plan();
        List<ConfirmationEntity> all = entities.createQuery(
                        "select c from ConfirmationEntity c where c.projectId = :project order by c.askedAt",
                        ConfirmationEntity.class)
                .setParameter("project", project)
                .getResultList();
        Map<UUID, String> names = people.names(all.stream()
                .flatMap(one -> Stream.of(one.accountId(), one.askedBy()))
                .filter(Objects::nonNull)
                .collect(Collectors.toSet()));
        UUID me = Who.accountNow().orElse(null);
        return all.stream()
                .flatMap(one -> Confirmable.digest(plan, one.about()).stream()
                        .map(now -> new ConfirmationView(
                                one.id(),
                                one.about(),
                                names.getOrDefault(one.accountId(), ""),
                                one.accountId().equals(me),
                                names.get(one.askedBy()),
                                one.askedAt().toInstant(ZoneOffset.UTC),
                                one.answeredAt() == null
                                        ? null
                                        : one.answeredAt().toInstant(ZoneOffset.UTC),
                                state(one, now),
                                one.note())))
                .toList();
    }

    private static ConfirmationState state(ConfirmationEntity one, byte[] now) {
        if (one.holds() == null) {
            return ConfirmationState.ASKED;
        }
        if (!Arrays.equals(one.digest(), now)) {
            return ConfirmationState.STALE;
        }
        return one.holds() ? ConfirmationState.CONFIRMED : ConfirmationState.DECLINED;
    }

    void ask(UUID place, AskWords words) {
        UUID project = projects.own(place);
        UUID whom = people.accountOf(words.email())
                .filter(account -> memberships.find(project, account).isPresent())
                .orElseThrow(() -> new InvalidPlanException(List.of(new Problem(
                        "/email",
                        "Nobody with the address " + words.email().strip()
                                + " takes part in this project; take them in first."))));
        Plan plan = plans.find(project).plan();
        for (About about : words.about()) {
            if (Confirmable.find(plan, about).isEmpty()) {
                throw new NotFoundException("“" + about.key() + "” is no longer there. Nothing was asked.");
            }
        }
        transaction.executeWithoutResult(status -> words.about().forEach(about -> {
            ConfirmationEntity one = find(project, about).orElseGet(() -> new ConfirmationEntity(project, about));
            one.ask(whom, Who.accountNow().orElse(null));
            entities.persist(one);
            inbox.put(whom, project, NoticeKind.ASK, about, null);
        }));
        tell(project);
    }

    private Optional<ConfirmationEntity> find(UUID project, About about) {
        return entities.createQuery(
                        "select c from ConfirmationEntity c where c.projectId = :project and c.section = :section"
                                + " and c.objectKey = :key",
                        ConfirmationEntity.class)
                .setParameter("project", project)
                .setParameter("section", about.section())
                .setParameter("key", about.key())
                .getResultStream()
                .findFirst();
    }

    /** What whoever was asked says; nobody says it for them. */
    void answer(UUID place, UUID id, AnswerWords words) {
        UUID project = projects.own(place);
        Plan plan = plans.find(project).plan();
        transaction.executeWithoutResult(status -> {
            ConfirmationEntity one = get(project, id);
            if (!one.accountId().equals(Who.accountNow().orElse(null))) {
                throw new AccessDeniedException("Somebody else was asked this. Nothing was changed.");
            }
            byte[] now = Confirmable.digest(plan, one.about())
                    .orElseThrow(() -> new NotFoundException("What was asked about is no longer there."));
            one.answer(words.holds(), words.note(), now);
            if (one.askedBy() != null) {
                NoticeKind kind = words.holds() ? NoticeKind.CONFIRMED : NoticeKind.DECLINED;
                inbox.put(one.askedBy(), project, kind, one.about(), words.note());
            }
        });
        tell(project);
    }

    void withdraw(UUID place, UUID id) {
        UUID project = projects.own(place);
        transaction.executeWithoutResult(status -> entities.remove(get(project, id)));
        tell(project);
    }

    private ConfirmationEntity get(UUID project, UUID id) {
        ConfirmationEntity one = entities.find(ConfirmationEntity.class, id);
        if (one == null || !one.projectId().equals(project)) {
            throw new NotFoundException("This is asked no longer.");
        }
        return one;
    }

    private void tell(UUID project) {
        events.publish(project, "confirmations", Map.of());
    }
}
