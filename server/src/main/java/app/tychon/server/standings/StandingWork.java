package app.tychon.server.standings;

import app.tychon.core.model.Targets;
import app.tychon.core.simulation.RunNeeds;
import app.tychon.server.live.LiveOdds;
import app.tychon.server.live.Outlook;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.pool.EnginePool;
import app.tychon.server.pool.Urgency;
import app.tychon.server.problems.BusyException;
import app.tychon.server.programmes.ProgrammeMembers.Part;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.persistence.EntityManager;
import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashMap;
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

/** Works out where projects stand, a few at a time and one after the other, in the order in which they were wanted. */
@Service
class StandingWork {
    private static final Logger LOG = LoggerFactory.getLogger(StandingWork.class);
    /** Worked out at a time, so that whoever edits waits for none of them. */
    private static final int MOST_AT_ONCE = 2;

    private final PlanStore plans;
    private final EnginePool pool;
    private final EntityManager entities;
    private final TransactionTemplate transaction;
    private final ObjectMapper json;
    private final Map<UUID, Wanted> waiting = new LinkedHashMap<>();
    private final Set<UUID> working = new HashSet<>();
    /** Why one could not be worked out, by project and the revision of which that is so. */
    private final Map<UUID, Failure> failed = new ConcurrentHashMap<>();

    private record Wanted(UUID project, long revision, List<Part> parts) {}

    private record Failure(long revision, String why) {}

    StandingWork(
            PlanStore plans,
            EnginePool pool,
            EntityManager entities,
            TransactionTemplate transaction,
            ObjectMapper json) {
        this.plans = plans;
        this.pool = pool;
        this.entities = entities;
        this.transaction = transaction;
        this.json = json;
    }

    /** Why the standing of a revision cannot be worked out, where that is so. */
    Optional<String> problem(UUID project, long revision) {
        return Optional.ofNullable(failed.get(project))
                .filter(one -> one.revision() == revision)
                .map(Failure::why);
    }

    /** @param revision of what is simulated of it */
    void want(UUID project, long revision, List<Part> parts) {
        synchronized (waiting) {
            if (!working.contains(project)) {
                waiting.put(project, new Wanted(project, revision, parts));
            }
        }
        next();
    }

    private void next() {
        for (Optional<Wanted> one = take(); one.isPresent(); one = take()) {
            begin(one.get());
        }
    }

    /** The one that has waited longest, where there is room for one more. */
    private Optional<Wanted> take() {
        synchronized (waiting) {
            Iterator<Wanted> first = waiting.values().iterator();
            if (working.size() >= MOST_AT_ONCE || !first.hasNext()) {
                return Optional.empty();
            }
            Wanted one = first.next();
            first.remove();
            working.add(one.project());
            return Optional.of(one);
        }
    }

    private void leave(Wanted one) {
        synchronized (waiting) {
            working.remove(one.project());
        }
    }

    private void begin(Wanted one) {
        try {
            LoadedPlan plan = plans.find(one.project());
            Map<String, Targets> targets = one.parts().stream()
                    .collect(Collectors.toMap(
                            Part::code,
                            part -> plans.find(part.project()).plan().project().targets()));
            long bytes =
                    RunNeeds.of(plan.plan(), Outlook.settings(LiveOdds.FIRST)).bytes();
            pool.submit(Urgency.REFINEMENT, "standing of " + one.project(), bytes, turns -> {
                try {
                    keep(one, StandingOf.of(plan, targets, turns));
                } catch (RuntimeException e) {
                    LOG.warn("Where {} stands could not be worked out", one.project(), e);
                    failed.put(one.project(), new Failure(one.revision(), "It could not be simulated."));
                } finally {
                    leave(one);
                    next();
                }
                return null;
            });
        } catch (BusyException e) {
            // Whoever looks again wants it again.
            leave(one);
        } catch (RuntimeException e) {
            leave(one);
            failed.put(one.project(), new Failure(one.revision(), String.valueOf(e.getMessage())));
        }
    }

    private void keep(Wanted one, Standing standing) {
        transaction.executeWithoutResult(status -> {
            StandingEntity known = entities.find(StandingEntity.class, one.project());
            StandingEntity entity = known == null ? new StandingEntity(one.project()) : known;
            try {
                entity.tell(one.revision(), json.writeValueAsString(standing));
            } catch (JsonProcessingException e) {
                throw new IllegalStateException(e);
            }
            if (known == null) {
                entities.persist(entity);
            }
        });
    }
}
