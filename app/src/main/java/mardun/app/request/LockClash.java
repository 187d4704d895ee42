package mardun.app.request;

import java.util.Set;
import java.util.concurrent.ThreadLocalRandom;
import mardun.app.stored.DatabaseCodes;
import org.springframework.dao.PessimisticLockingFailureException;

/**
 * Work that met other work on the same rows is tried again: its transaction was taken back whole, so nothing happens twice.
 */
public final class LockClash {

    private static final int TRIES = 4;
    private static final int LONGEST_PAUSE_MS = 60;

    /** H2's numbers for a dead lock, for a row that was changed meanwhile, and for a lock that didn't come free. */
    private static final Set<Integer> MET = Set.of(40001, 90131, 50200);

    private LockClash() {}

    /** Something that can be done once more from its beginning. */
    @FunctionalInterface
    public interface Attempt<T, E extends Throwable> {
        T go() throws E;
    }

    /**
     * What an attempt gives, after some tries if it must be.
     *
     * @throws PessimisticLockingFailureException if it met other work each time
     */
    public static <T, E extends Throwable> T retried(Attempt<T, E> attempt) throws E {
        for (int tried = 1; ; tried++) {
            try {
                return attempt.go();
            } catch (RuntimeException failed) {
                if (!DatabaseCodes.areBehind(failed, MET)) {
                    throw failed;
                }
                if (tried == TRIES || !pause()) {
                    throw new PessimisticLockingFailureException("met other work " + tried + " times", failed);
                }
            }
        }
    }

    private static boolean pause() {
        try {
            Thread.sleep(ThreadLocalRandom.current().nextInt(1, LONGEST_PAUSE_MS));
            return true;
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}
