package app.tychon.server.runs;

import app.tychon.server.problems.LostConnection;
import java.time.Duration;
import java.util.function.BooleanSupplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

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
            } catch (RuntimeException e) {
                if (left <= 1 || closing.getAsBoolean() || !LostConnection.isBehind(e)) {
                    throw e;
                }
                LOG.warn("The database does not answer; a run waits to be stored: {}", e.getMessage());
                breathe();
            }
        }
    }

    private void breathe() {
        try {
            Thread.sleep(breath.toMillis());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
