package mardun.app.problem;

/** Somebody else, or another tab, saved the same thing since it was read. */
public final class ChangedMeanwhileException extends RuntimeException {

    private final long currentVersion;

    public ChangedMeanwhileException(String what, long currentVersion) {
        super(what + " was changed in another tab or window since you opened it.");
        this.currentVersion = currentVersion;
    }

    public long currentVersion() {
        return currentVersion;
    }

    /** Refuses a request that was made from an older version than the stored one. */
    public static void check(String what, long given, long current) {
        if (given != current) {
            throw new ChangedMeanwhileException(what, current);
        }
    }
}
