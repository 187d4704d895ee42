package mardun.app.stored;

import java.sql.SQLException;
import java.util.Set;

/** The database's own numbers for what went wrong, wherever in a failure they stand. */
public final class DatabaseCodes {

    private DatabaseCodes() {}

    /** Whether one of them is behind a failure. */
    public static boolean areBehind(Throwable failure, Set<Integer> codes) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLException sql && codes.contains(sql.getErrorCode())) {
                return true;
            }
        }
        return false;
    }
}
