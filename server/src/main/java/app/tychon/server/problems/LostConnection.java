package app.tychon.server.problems;

import java.io.IOException;
import java.sql.SQLException;
import java.sql.SQLNonTransientConnectionException;
import java.sql.SQLRecoverableException;
import java.sql.SQLTransientConnectionException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.RecoverableDataAccessException;
import org.springframework.dao.TransientDataAccessException;
import org.springframework.dao.UncategorizedDataAccessException;
import org.springframework.transaction.TransactionException;

/** Whether a fault comes of a database that went away, wherever that was noticed and whatever it was wrapped in. */
public final class LostConnection {
    /** SQL's own class of states of connections. */
    private static final String CONNECTION = "08";

    private static final int DEEPEST = 20;

    private LostConnection() {}

    public static boolean isBehind(Throwable fault) {
        Throwable at = fault;
        for (int depth = 0; at != null && depth < DEEPEST; depth++) {
            if (isIt(at)) {
                return true;
            }
            at = at.getCause();
        }
        return false;
    }

    private static boolean isIt(Throwable fault) {
        if (fault instanceof TransactionException
                || fault instanceof UncategorizedDataAccessException
                || fault instanceof TransientDataAccessException
                || fault instanceof RecoverableDataAccessException
                || fault instanceof DataAccessResourceFailureException) {
            return true;
        }
        if (fault instanceof SQLException sql) {
            return sql instanceof SQLNonTransientConnectionException
                    || sql instanceof SQLTransientConnectionException
                    || sql instanceof SQLRecoverableException
                    || sql.getSQLState() != null && sql.getSQLState().startsWith(CONNECTION)
                    || sql.getCause() instanceof IOException;
        }
        return false;
    }
}
