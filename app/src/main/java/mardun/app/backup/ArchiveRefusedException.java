package mardun.app.backup;

/** A file isn't an archive that can be restored; its message says what was found, and what would be right. */
public final class ArchiveRefusedException extends Exception {

    ArchiveRefusedException(String message) {
        super(message);
    }

    ArchiveRefusedException(String message, Throwable cause) {
        super(message, cause);
    }
}
