package app.tychon.server.runs;

import java.time.Duration;
import java.util.function.BooleanSupplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.RecoverableDataAccessException;
import org.springframework.dao.TransientDataAccessException;
import org.springframework.transaction.TransactionException;

/** Stores what was simulated; while the database does not answer, it waits in memory and is tried again. */
final class Storing {
    private static final Logger LOG = LoggerFactory.getLogger(Storing.class);
    private static final int TRIES = 30;

    private final Duration breath;
    private final BooleanSupplier closing;

    /**
     * @param breath how long to wait for a database that does not answer before it is tried again
     * @param closing whether there is no time to wait
     */
    Storing(Duration breath, BooleanSupplier closing) {
        this.breath = breath;
        this.closing = closing;
    }

    /** Does a transaction, again where that may help. */
    void store(Runnable transaction) {
        for (int left = TRIES; ; left--) {
            try {
                transaction.run();
                return;
            } catch (DataAccessException | TransactionException e) {
                if (left <= 1 || closing.getAsBoolean() || !mayPass(e)) {
                    throw e;
                }
                LOG.warn("The database does not answer; a run waits to be stored: {}", e.getMessage());
                breathe();
            }
        }
    }

    /** Whether it is the database that does not answer, and not the data that it does not take. */
    private static boolean mayPass(RuntimeException e) {
        return e instanceof TransactionException
                || e instanceof TransientDataAccessException
                || e instanceof RecoverableDataAccessException
                || e instanceof DataAccessResourceFailureException;
    }

    private void breathe() {
        try {
            Thread.sleep(breath.toMillis());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
