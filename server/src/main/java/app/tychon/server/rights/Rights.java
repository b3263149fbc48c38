package app.tychon.server.rights;

import app.tychon.server.problems.ConflictException;
import app.tychon.server.problems.NotFoundException;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import org.springframework.web.servlet.HandlerMapping;

/**
 * What whoever asks may do. The project is the one of the address: {@code {id}}, or that of its {@code {run}}. A project of
 * which somebody is no member is, for them, not there; nor are its runs, wherever a request names them.
 */
@Component("rights")
public class Rights {
    private static final int MOST_OWNED = 500;
    private static final Pattern KEY = Pattern.compile("[0-9a-fA-F]{8}(-[0-9a-fA-F]{4}){3}-[0-9a-fA-F]{12}");

    private static final String NO_PROJECT = "There is no such project.";
    private static final String NO_RUN = "There is no such run.";
    private static final UUID NOBODYS = new UUID(0, 0);

    private final Memberships memberships;
    private final ObjectProvider<ProjectOfRun> runs;

    Rights(Memberships memberships, ObjectProvider<ProjectOfRun> runs) {
        this.memberships = memberships;
        this.runs = runs;
    }

    /**
     * Whether the act may be done in the project of the request.
     *
     * @throws NotFoundException where whoever asks does not even read it
     * @throws AccessDeniedException with a sentence, where they do
     */
    public boolean may(Act act) {
        Who who = Who.now().orElse(null);
        if (who == null || who.kind() == Who.Kind.MACHINE) {
            return false;
        }
        if (who.kind() == Who.Kind.ALONE) {
            return true;
        }
        ServletRequestAttributes request = (ServletRequestAttributes) RequestContextHolder.currentRequestAttributes();
        namedBeside(request).forEach(project -> may(who, project, Act.READ, NO_RUN));
        return path(request).containsKey("id")
                ? may(who, key(path(request).get("id"), NO_PROJECT), act, NO_PROJECT)
                : may(who, projectOfRun(request), act, NO_RUN);
    }

    /**
     * Demands that an act may be done in a project that a request names beside its own.
     *
     * @throws NotFoundException and AccessDeniedException as {@link #may} does
     */
    public void demand(UUID project, Act act) {
        Who who = Who.now().orElse(Who.ALONE);
        if (who.kind() == Who.Kind.PERSON) {
            may(who, project, act, NO_PROJECT);
        }
    }

    /** Whether it may be done. */
    public boolean allows(UUID project, Act act) {
        try {
            demand(project, act);
            return true;
        } catch (NotFoundException | AccessDeniedException e) {
            return false;
        }
    }

    /** The projects of all runs that a request names beside its address, as where one run is compared with another. */
    private Stream<UUID> namedBeside(ServletRequestAttributes request) {
        return request.getRequest().getParameterMap().values().stream()
                .flatMap(Arrays::stream)
                .filter(text -> KEY.matcher(text).matches())
                .flatMap(text -> runs.getObject().of(UUID.fromString(text)).stream());
    }

    /** @param none what is said where there is nothing, and where there is something that whoever asks may not know of */
    private boolean may(Who who, UUID project, Act act, String none) {
        boolean others = who.project() != null && !who.project().equals(project);
        Role role = others ? null : roleOf(who, project).orElse(null);
        if (role == null) {
            throw new NotFoundException(none);
        }
        if (who.scope() == Who.Scope.READING && act != Act.READ && act != Act.GLANCE) {
            throw new AccessDeniedException("This token is for reading only. Nothing was changed.");
        }
        if (act != Act.GLANCE && memberships.countHidden(project, who.account()) > 0) {
            throw new AccessDeniedException(
                    "You may not read all projects of this programme; what they let out stands in the list of projects.");
        }
        if (!role.may(act)) {
            throw new AccessDeniedException("You may not " + act.words() + ". Nothing was changed.");
        }
        return true;
    }

    private Optional<Role> roleOf(Who who, UUID project) {
        return who.account() == null
                ? Optional.empty()
                : memberships.find(project, who.account()).map(MembershipEntity::role);
    }

    /** Whether whoever asks may have projects of their own: not by a token that is for one, or for reading. */
    public boolean begins() {
        return Who.now()
                .filter(who -> who.kind() != Who.Kind.MACHINE)
                .filter(who -> who.scope() == Who.Scope.EVERYTHING && who.project() == null)
                .isPresent();
    }

    /** Whether whoever has the machine asks. */
    public boolean machine() {
        return Who.now().filter(who -> who.account() == null).isPresent();
    }

    /** Whether somebody who works with projects asks. */
    public boolean worksHere() {
        return Who.now().filter(who -> who.kind() != Who.Kind.MACHINE).isPresent();
    }

    /** The projects that whoever asks may read; nothing where that is all of them. */
    public Optional<Set<UUID>> readable() {
        Who who = Who.now().orElse(Who.ALONE);
        if (who.account() == null) {
            return Optional.empty();
        }
        return Optional.of(memberships.findAllByAccountId(who.account()).stream()
                .map(MembershipEntity::projectId)
                .filter(project -> who.project() == null || who.project().equals(project))
                .collect(Collectors.toSet()));
    }

    /** Makes whoever asks owner of a project that they have begun. */
    public void begun(UUID project) {
        Who.accountNow().ifPresent(account -> {
            if (memberships.countByAccountIdAndRole(account, Role.OWNER) >= MOST_OWNED) {
                throw new ConflictException("You own " + MOST_OWNED
                        + " projects, as many as one person may. Delete some, or hand them over. Nothing was kept.");
            }
            memberships.save(new MembershipEntity(project, account, Role.OWNER));
        });
    }

    private static Map<?, ?> path(ServletRequestAttributes request) {
        return (Map<?, ?>)
                request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE, RequestAttributes.SCOPE_REQUEST);
    }

    /** The project of the run of the address; one that nobody has where there is none, so that both take as long to tell. */
    private UUID projectOfRun(ServletRequestAttributes request) {
        return runs.getObject().of(key(path(request).get("run"), NO_RUN)).orElse(NOBODYS);
    }

    private static UUID key(Object text, String none) {
        try {
            return UUID.fromString(String.valueOf(text));
        } catch (IllegalArgumentException e) {
            throw new NotFoundException(none);
        }
    }
}
