package mardun.app.stored;

import java.io.IOException;
import java.util.List;

/** Nothing new is begun, because the disk is full. */
public final class DiskFullException extends RuntimeException {

    /** What is told to whoever sent something. */
    public static final String SENTENCE =
            "The disk that holds the workroom is full, so nothing was stored. All that is there can be read."
                    + " Make room on it, and send this again.";

    /** How the systems say it. */
    private static final List<String> NO_ROOM = List.of("No space left", "quota exceeded", "not enough space");

    DiskFullException() {
        super(SENTENCE);
    }

    /** Whether something failed because nothing more could be written to the disk. */
    public static boolean isBehind(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            String said = String.valueOf(cause.getMessage());
            if (cause instanceof DiskFullException
                    || cause instanceof IOException && NO_ROOM.stream().anyMatch(said::contains)) {
                return true;
            }
        }
        return false;
    }
}
