package app.tychon.server.standings;

import app.tychon.server.confirm.ConfirmedShare;
import app.tychon.server.confirm.ConfirmedShares;
import app.tychon.server.programmes.ProgrammeMembers;
import app.tychon.server.programmes.ProgrammeMembers.Part;
import app.tychon.server.project.ProjectEntity;
import app.tychon.server.project.ProjectRepository;
import app.tychon.server.project.Shelf;
import app.tychon.server.rights.Rights;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.persistence.EntityManager;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Where all projects stand. What was worked out is kept; what is no longer of the newest plan is worked out anew when somebody
 * looks at the list, and told as it was until then.
 */
@Service
class Standings {
    private static final Logger LOG = LoggerFactory.getLogger(Standings.class);
    private final ProjectRepository projects;
    private final ProgrammeMembers members;
    private final StandingWork work;
    private final Rights rights;
    private final ConfirmedShares confirmed;
    private final EntityManager entities;
    private final TransactionTemplate transaction;
    private final ObjectMapper json;

    Standings(
            ProjectRepository projects,
            ProgrammeMembers members,
            StandingWork work,
            Rights rights,
            ConfirmedShares confirmed,
            EntityManager entities,
            TransactionTemplate transaction,
            ObjectMapper json) {
        this.projects = projects;
        this.members = members;
        this.work = work;
        this.rights = rights;
        this.confirmed = confirmed;
        this.entities = entities;
        this.transaction = transaction;
        this.json = json;
    }

    /** Of every project at hand that whoever asks may read. */
    List<StandingView> all() {
        Optional<Set<UUID>> readable = rights.readable();
        Map<UUID, List<Part>> parts = members.all();
        Map<UUID, StandingEntity> known = new HashMap<>();
        Map<UUID, String> names = new HashMap<>();
        List<ProjectEntity> open = transaction.execute(status -> {
            entities.createQuery("select s from StandingEntity s", StandingEntity.class)
                    .getResultList()
                    .forEach(one -> known.put(one.projectId(), one));
            List<ProjectEntity> all = projects.findAllByScenarioOfIsNullOrderByEditedAtDesc();
            all.forEach(project -> names.put(project.id(), project.name()));
            return all.stream()
                    .filter(project -> project.shelf() == Shelf.OPEN)
                    .filter(project -> readable.isEmpty() || readable.get().contains(project.id()))
                    .toList();
        });
        Map<UUID, List<UUID>> read = new HashMap<>();
        parts.forEach((programme, all) -> read.put(
                programme,
                all.stream().filter(Part::readable).map(Part::project).toList()));
        Map<UUID, ConfirmedShare> shares = confirmed.of(
                open.stream().collect(Collectors.toMap(ProjectEntity::id, ProjectEntity::inputsRevision)), read);
        return open.stream()
                .map(project -> view(
                        project,
                        known.get(project.id()),
                        shares.get(project.id()),
                        parts.getOrDefault(project.id(), List.of()),
                        names))
                .toList();
    }

    private StandingView view(
            ProjectEntity project,
            StandingEntity known,
            ConfirmedShare share,
            List<Part> parts,
            Map<UUID, String> names) {
        boolean fresh = known != null && known.revision() == project.inputsRevision();
        Optional<String> problem = work.problem(project.id(), project.inputsRevision());
        if (!fresh && problem.isEmpty()) {
            work.want(project.id(), project.inputsRevision(), parts);
        }
        return StandingView.of(
                project.id(), known == null ? null : read(known), fresh, problem.orElse(null), share, parts, names);
    }

    private Standing read(StandingEntity entity) {
        try {
            return json.readValue(entity.told(), Standing.class);
        } catch (JsonProcessingException e) {
            LOG.warn("Where {} stood cannot be read any more; it is worked out anew", entity.projectId(), e);
            return null;
        }
    }
}
