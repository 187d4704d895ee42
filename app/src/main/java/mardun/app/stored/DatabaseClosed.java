package mardun.app.stored;

import java.util.Set;
import org.h2.mvstore.DataUtils;
import org.h2.mvstore.MVStoreException;

/** The database has closed itself, because something couldn't be written to its file. */
public final class DatabaseClosed {

    /** What is told to whoever asks for something. */
    public static final String SENTENCE =
            "The workroom's disk failed while it was written to, so the workroom was closed. All that was stored before is safe."
                    + " Look after the disk, stop Mardun, and start it again.";

    private static final Set<Integer> CODES = Set.of(90098);

    private DatabaseClosed() {}

    /** Whether something failed because of that. */
    public static boolean isBehind(Throwable failure) {
        return DatabaseCodes.areBehind(failure, CODES) || isFailedWriteBehind(failure);
    }

    /** What closes it. */
    private static boolean isFailedWriteBehind(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof MVStoreException store && store.getErrorCode() == DataUtils.ERROR_WRITING_FAILED) {
                return true;
            }
        }
        return false;
    }
}
