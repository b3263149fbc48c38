package app.tychon.server.edits;

import app.tychon.server.problems.BusyException;
import java.time.Duration;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Whoever edits a project waits for their turn in memory, where it costs no connection to the database, and edits it in one
 * transaction. What is locked is read anew in it, so it reads what is committed. A deadlock, which changed nothing, is
 * tried again.
 */
@Component
class ProjectTurns {
    private static final int MOST_WAITING = 60;
    private static final int TRIES = 4;

    /** @param waiting those who wait, and the one who works; counted within the map's own lock */
    private record Turn(ReentrantLock lock, int waiting) {}

    private final TransactionTemplate transaction;
    private final Duration patience;
    private final Map<UUID, Turn> turns = new ConcurrentHashMap<>();

    @Autowired
    ProjectTurns(PlatformTransactionManager transactions) {
        this(transactions, Duration.ofSeconds(15));
    }

    ProjectTurns(PlatformTransactionManager transactions, Duration patience) {
        this.patience = patience;
        transaction = new TransactionTemplate(transactions);
        transaction.setIsolationLevel(TransactionDefinition.ISOLATION_READ_COMMITTED);
    }

    /**
     * Does something with a project that nobody else edits meanwhile.
     *
     * @throws BusyException where too many wait, or the wait is too long; then nothing was done
     */
    <T> T take(UUID project, Supplier<T> work) {
        ReentrantLock lock = turns.compute(project, (id, turn) -> queueUp(turn)).lock();
        try {
            if (!lock.tryLock(patience.toMillis(), TimeUnit.MILLISECONDS)) {
                throw new BusyException("Others have been editing this project for " + patience.toSeconds()
                        + " s without a pause. Nothing was changed; try again in a moment.");
            }
            try {
                return committed(work);
            } finally {
                lock.unlock();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new BusyException("The server is about to stop. Nothing was changed.");
        } finally {
            turns.computeIfPresent(
                    project, (id, turn) -> turn.waiting() == 1 ? null : new Turn(turn.lock(), turn.waiting() - 1));
        }
    }

    private static Turn queueUp(Turn turn) {
        if (turn == null) {
            return new Turn(new ReentrantLock(true), 1);
        }
        if (turn.waiting() > MOST_WAITING) {
            throw new BusyException("Too many edits of this project are waiting already. Nothing was changed;"
                    + " try again in a moment.");
        }
        return new Turn(turn.lock(), turn.waiting() + 1);
    }

    private <T> T committed(Supplier<T> work) {
        for (int left = TRIES; ; left--) {
            try {
                return transaction.execute(status -> work.get());
            } catch (PessimisticLockingFailureException e) {
                if (left <= 1) {
                    throw e;
                }
            }
        }
    }
}
