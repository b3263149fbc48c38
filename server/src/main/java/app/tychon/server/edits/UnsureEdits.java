package app.tychon.server.edits;

import app.tychon.server.plan.PlanLookedUp;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.problems.LostConnection;
import app.tychon.server.problems.NotFoundException;
import jakarta.annotation.PreDestroy;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Edits of which nobody knows whether they were kept, since the database went away at the commit. Once it answers, the plan is
 * read, and whoever follows it is told, as after an edit that was confirmed.
 */
@Component
class UnsureEdits {
    private static final Logger LOG = LoggerFactory.getLogger(UnsureEdits.class);
    private static final long PAUSE_MILLIS = 500;
    private static final int TRIES = 600;

    private final PlanStore plans;
    private final ApplicationEventPublisher events;
    private final ScheduledExecutorService looking = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "unsure-edits");
        thread.setDaemon(true);
        return thread;
    });

    UnsureEdits(PlanStore plans, ApplicationEventPublisher events) {
        this.plans = plans;
        this.events = events;
    }

    /** Watches how the transaction ends in which a project is edited. */
    void watch(UUID project) {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
                if (status == STATUS_UNKNOWN) {
                    lookLater(project, TRIES);
                }
            }
        });
    }

    private void lookLater(UUID project, int tries) {
        looking.schedule(() -> look(project, tries), PAUSE_MILLIS, TimeUnit.MILLISECONDS);
    }

    private void look(UUID project, int tries) {
        try {
            events.publishEvent(new PlanLookedUp(project, plans.find(project).revision()));
        } catch (NotFoundException gone) {
            // There is nothing to tell of any more.
        } catch (RuntimeException e) {
            if (tries > 1 && LostConnection.isBehind(e)) {
                lookLater(project, tries - 1);
            } else {
                LOG.warn("The plan {} could not be read after an edit that was not confirmed", project, e);
            }
        }
    }

    @PreDestroy
    void close() {
        looking.shutdownNow();
    }
}
