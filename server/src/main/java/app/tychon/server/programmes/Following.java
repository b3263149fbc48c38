package app.tychon.server.programmes;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.server.plan.PlanChanged;
import app.tychon.server.plan.PlanLookedUp;
import app.tychon.server.problems.LostConnection;
import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.event.TransactionalEventListener;

/** Lets programmes follow their projects: after an edit of one, each programme that it is part of, once. */
@Service
class Following {
    private static final Logger LOG = LoggerFactory.getLogger(Following.class);

    private static final long PAUSE_MILLIS = 1000;

    private final Programmes programmes;
    private final ProgrammeRecords records;
    private final Set<UUID> waiting = ConcurrentHashMap.newKeySet();
    /** Why a programme could not follow, until it can. */
    private final Map<UUID, String> stuck = new ConcurrentHashMap<>();

    private final Map<UUID, List<Assembled.Idle>> idle = new ConcurrentHashMap<>();

    private final ScheduledExecutorService following = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "programmes-follow");
        thread.setDaemon(true);
        return thread;
    });

    Following(Programmes programmes, ProgrammeRecords records) {
        this.programmes = programmes;
        this.records = records;
    }

    /** A server that was stopped in between may have left some behind. */
    @EventListener(ApplicationReadyEvent.class)
    void afterStart() {
        records.all().stream().map(MemberEntity::programmeId).distinct().forEach(this::begin);
    }

    @TransactionalEventListener
    void planChanged(PlanChanged change) {
        if (change.simulated()) {
            beginOf(change.project());
        }
    }

    /** The edit is kept by now, so what follows from it waits for a database that does not answer. */
    private void beginOf(UUID project) {
        try {
            records.programmesOf(project).forEach(this::begin);
        } catch (RuntimeException e) {
            if (!LostConnection.isBehind(e) || following.isShutdown()) {
                throw e;
            }
            following.schedule(() -> beginOf(project), PAUSE_MILLIS, TimeUnit.MILLISECONDS);
        }
    }

    @EventListener
    void planLookedUp(PlanLookedUp found) {
        beginOf(found.project());
    }

    private void begin(UUID programme) {
        if (waiting.add(programme)) {
            following.execute(() -> follow(programme));
        }
    }

    /** Brings a programme up to date; what keeps it from that is remembered. */
    private void follow(UUID programme) {
        waiting.remove(programme);
        try {
            idle.put(programme, programmes.follow(programme).idle());
            stuck.remove(programme);
        } catch (InvalidPlanException e) {
            stuck.put(programme, e.problems().get(0).message());
        } catch (RuntimeException e) {
            LOG.warn("The programme {} could not follow its projects yet", programme, e);
            if (LostConnection.isBehind(e) && !following.isShutdown()) {
                following.schedule(() -> begin(programme), PAUSE_MILLIS, TimeUnit.MILLISECONDS);
            }
        }
    }

    /** Why it stands where it stood before; null where it does not. */
    String stuck(UUID programme) {
        return stuck.get(programme);
    }

    List<Assembled.Idle> idle(UUID programme) {
        return idle.getOrDefault(programme, List.of());
    }

    @PreDestroy
    void close() {
        following.shutdownNow();
    }
}
