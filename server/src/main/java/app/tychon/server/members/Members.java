package app.tychon.server.members;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Problem;
import app.tychon.server.audit.Audit;
import app.tychon.server.members.MembersController.MemberView;
import app.tychon.server.people.People;
import app.tychon.server.people.People.PersonNamed;
import app.tychon.server.problems.ConflictException;
import app.tychon.server.problems.NotFoundException;
import app.tychon.server.project.ProjectEntity;
import app.tychon.server.project.ProjectRepository;
import app.tychon.server.rights.MembershipEntity;
import app.tychon.server.rights.Memberships;
import app.tychon.server.rights.RightsChanged;
import app.tychon.server.rights.Role;
import app.tychon.server.rights.Who;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who takes part in projects. Every project keeps at least one owner. */
@Service
public class Members {
    private static final Pattern ID = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");

    private final Memberships memberships;
    private final ProjectRepository projects;
    private final People people;
    private final Audit audit;
    private final ApplicationEventPublisher events;

    Members(
            Memberships memberships,
            ProjectRepository projects,
            People people,
            Audit audit,
            ApplicationEventPublisher events) {
        this.memberships = memberships;
        this.projects = projects;
        this.people = people;
        this.audit = audit;
        this.events = events;
    }

    @Transactional(readOnly = true)
    List<MemberView> of(UUID project) {
        UUID me = Who.accountNow().orElse(null);
        List<MembershipEntity> members = memberships.findAllByProjectIdOrderBySince(projects.own(project));
        Map<UUID, PersonNamed> named =
                people.called(members.stream().map(MembershipEntity::accountId).toList());
        return members.stream()
                .flatMap(member -> Optional.ofNullable(named.get(member.accountId())).stream()
                        .map(called -> new MemberView(
                                called.id(),
                                called.name(),
                                called.email(),
                                member.role(),
                                member.ownerName().orElse(called.name()),
                                called.id().equals(me))))
                .toList();
    }

    @Transactional
    public void put(UUID project, String email, Role role, String ownerName) {
        UUID account = people.accountOf(email)
                .orElseThrow(() -> new InvalidPlanException(List.of(new Problem(
                        "/email",
                        "There is nobody with the address " + email.strip() + "; an administrator adds people."))));
        UUID own = projects.own(project);
        MembershipEntity member = memberships
                .findByProjectIdAndAccountId(own, account)
                .orElseGet(() -> new MembershipEntity(own, account, role));
        member.become(role);
        if (ownerName != null && !ownerName.isBlank()) {
            member.callOwner(ownerName.strip());
        } else if (ownerName != null || member.ownerName().isEmpty()) {
            // Fixed by whoever gives the part: what somebody calls themselves later gives them no other risks.
            member.callOwner(people.called(account).orElseThrow().name());
        }
        memberships.save(member);
        keepOneOwner(own);
        audit.note("role-given", "project", own, "person", account, "role", role);
    }

    @Transactional
    void remove(UUID project, UUID account) {
        UUID own = projects.own(project);
        memberships.delete(memberships
                .findByProjectIdAndAccountId(own, account)
                .orElseThrow(() -> new NotFoundException("There is no such person in this project.")));
        keepOneOwner(own);
        events.publishEvent(new RightsChanged(account, own));
        audit.note("role-taken", "project", own, "person", account);
    }

    @Transactional
    void leave(UUID project) {
        remove(project, Who.accountNow().orElseThrow(() -> new ConflictException("You work alone here.")));
    }

    private void keepOneOwner(UUID project) {
        if (memberships.countByProjectIdAndRole(project, Role.OWNER) == 0) {
            throw new ConflictException("A project needs an owner: make somebody else owner first.");
        }
    }

    /** A project by its id or code. */
    @Transactional(readOnly = true)
    UUID project(String text) {
        return (ID.matcher(text).matches()
                        ? projects.findById(UUID.fromString(text))
                        : projects.findFirstByCodeAndScenarioOfIsNullOrderByCreatedAt(text))
                .map(ProjectEntity::id)
                .orElseThrow(() -> new NotFoundException("There is no project \"" + text + "\"."));
    }
}
