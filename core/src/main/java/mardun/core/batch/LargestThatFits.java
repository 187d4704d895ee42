package mardun.core.batch;

import java.util.function.IntPredicate;

/** How many bags can be made: if so many can, fewer can too. */
final class LargestThatFits {

    private LargestThatFits() {}

    /**
     * The largest number that fits, from 0 to {@code most}; each number is asked at most once.
     *
     * @param fits true up to some number, and false beyond it
     */
    static int upTo(int most, IntPredicate fits) {
        int enough = 0;
        int tooMany = most + 1;
        while (tooMany - enough > 1) {
            boolean isUnbounded = tooMany > most;
            int next = isUnbounded && enough <= most / 2 ? Math.max(1, enough * 2) : (enough + tooMany) / 2;
            if (fits.test(next)) {
                enough = next;
            } else {
                tooMany = next;
            }
        }
        return enough;
    }
}
