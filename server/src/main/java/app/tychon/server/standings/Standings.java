package app.tychon.server.standings;

import app.tychon.core.model.Targets;
import app.tychon.core.simulation.RunNeeds;
import app.tychon.server.confirm.ConfirmedShare;
import app.tychon.server.confirm.ConfirmedShares;
import app.tychon.server.live.LiveOdds;
import app.tychon.server.live.Outlook;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.pool.EnginePool;
import app.tychon.server.pool.Urgency;
import app.tychon.server.problems.BusyException;
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
import java.util.concurrent.ConcurrentHashMap;
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
    /** Worked out at a time, so that whoever edits waits for none of them. */
    private static final int MOST_AT_ONCE = 2;

    private final ProjectRepository projects;
    private final PlanStore plans;
    private final ProgrammeMembers members;
    private final EnginePool pool;
    private final Rights rights;
    private final ConfirmedShares confirmed;
    private final EntityManager entities;
    private final TransactionTemplate transaction;
    private final ObjectMapper json;
    private final Set<UUID> working = ConcurrentHashMap.newKeySet();
    /** Why one could not be worked out, by project and the revision of which that is so. */
    private final Map<UUID, Failure> failed = new ConcurrentHashMap<>();

    private record Failure(long revision, String why) {}

    Standings(
            ProjectRepository projects,
            PlanStore plans,
            ProgrammeMembers members,
            EnginePool pool,
            Rights rights,
            ConfirmedShares confirmed,
            EntityManager entities,
            TransactionTemplate transaction,
            ObjectMapper json) {
        this.projects = projects;
        this.plans = plans;
        this.members = members;
        this.pool = pool;
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
        Map<UUID, ConfirmedShare> shares =
                confirmed.of(open.stream().collect(Collectors.toMap(ProjectEntity::id, ProjectEntity::inputsRevision)));
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
        Failure failure = failed.get(project.id());
        boolean hopeless = failure != null && failure.revision() == project.inputsRevision();
        if (!fresh && !hopeless) {
            begin(project.id(), project.inputsRevision(), parts);
        }
        return StandingView.of(
                project.id(),
                known == null ? null : read(known),
                fresh,
                hopeless ? failure.why() : null,
                share,
                parts,
                names);
    }

    private Standing read(StandingEntity entity) {
        try {
            return json.readValue(entity.told(), Standing.class);
        } catch (JsonProcessingException e) {
            LOG.warn("Where {} stood cannot be read any more; it is worked out anew", entity.projectId(), e);
            return null;
        }
    }

    private void begin(UUID project, long revision, List<Part> parts) {
        if (working.size() >= MOST_AT_ONCE || !working.add(project)) {
            return;
        }
        try {
            LoadedPlan plan = plans.find(project);
            Map<String, Targets> targets = parts.stream()
                    .collect(Collectors.toMap(
                            Part::code,
                            part -> plans.find(part.project()).plan().project().targets()));
            long bytes =
                    RunNeeds.of(plan.plan(), Outlook.settings(LiveOdds.FIRST)).bytes();
            pool.submit(Urgency.REFINEMENT, "standing of " + project, bytes, turns -> {
                try {
                    keep(project, revision, StandingOf.of(plan, targets, turns));
                } catch (RuntimeException e) {
                    LOG.warn("Where {} stands could not be worked out", project, e);
                    failed.put(project, new Failure(revision, "It could not be simulated."));
                } finally {
                    working.remove(project);
                }
                return null;
            });
        } catch (BusyException e) {
            working.remove(project);
        } catch (RuntimeException e) {
            working.remove(project);
            failed.put(project, new Failure(revision, String.valueOf(e.getMessage())));
        }
    }

    private void keep(UUID project, long revision, Standing standing) {
        transaction.executeWithoutResult(status -> {
            StandingEntity known = entities.find(StandingEntity.class, project);
            StandingEntity entity = known == null ? new StandingEntity(project) : known;
            try {
                entity.tell(revision, json.writeValueAsString(standing));
            } catch (JsonProcessingException e) {
                throw new IllegalStateException(e);
            }
            if (known == null) {
                entities.persist(entity);
            }
        });
    }
}
