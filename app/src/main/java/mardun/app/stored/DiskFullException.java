package mardun.app.stored;

import java.io.IOException;

/** Nothing new is begun, because the disk is full. */
public final class DiskFullException extends RuntimeException {

    /** What is told to whoever sent something. */
    public static final String SENTENCE =
            "The disk that holds the workroom is full, so nothing was stored. All that is there can be read."
                    + " Make room on it, and send this again.";

    private static final String NO_ROOM = "No space left";

    DiskFullException() {
        super(SENTENCE);
    }

    /** Whether something failed because nothing more could be written to the disk. */
    public static boolean isBehind(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof DiskFullException
                    || cause instanceof IOException
                            && String.valueOf(cause.getMessage()).contains(NO_ROOM)) {
                return true;
            }
        }
        return false;
    }
}
