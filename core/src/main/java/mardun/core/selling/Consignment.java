package mardun.core.selling;

import mardun.core.working.Sentence;
import mardun.core.working.Value;

/**
 * What to do with bags of a kind that lie with a reseller: bring more where they last less than a month, so that they last two; take
 * them back where none went in a quarter of a year, or more lie there than go in half a year, or a licence doesn't let others sell them;
 * else leave them.
 *
 * @param units how many to bring or to take back; 0 to leave them
 * @param reason in a sentence
 */
public record Consignment(Do what, int units, Sentence reason) {

    private static final int DAYS_OF_A_WEEK = 7;
    private static final int LOW_WEEKS = 4;
    private static final int FULL_WEEKS = 8;
    private static final int DEAD_WEEKS = 13;
    private static final int MOST_WEEKS = 26;

    /** What to do. */
    public enum Do {
        LEAVE,
        BRING,
        TAKE_BACK
    }

    /**
     * How it goes with a kind there.
     *
     * @param there how many lie there now
     * @param sold how many were sold there in the time that counts
     * @param offeredDays for how many days it was offered there, at most half a year of them
     * @param lyingDays for how many days those have been lying that came first
     */
    public record Lying(int there, int sold, long offeredDays, long lyingDays) {}

    /** For how many days back sales count. */
    public static int countedDays() {
        return MOST_WEEKS * DAYS_OF_A_WEEK;
    }

    /** What to do with a kind. */
    public static Consignment of(Lying lying) {
        int there = lying.there();
        int sold = lying.sold();
        long days = Math.max(DAYS_OF_A_WEEK, Math.min(countedDays(), lying.offeredDays()));
        if (sold == 0) {
            return there > 0 && lying.lyingDays() >= DEAD_WEEKS * DAYS_OF_A_WEEK
                    ? new Consignment(
                            Do.TAKE_BACK,
                            there,
                            Sentence.of("None was sold in {0} weeks.", Value.of(lying.lyingDays() / DAYS_OF_A_WEEK)))
                    : new Consignment(Do.LEAVE, 0, Sentence.of("None was sold there yet."));
        }
        int low = inWeeks(LOW_WEEKS, sold, days);
        if (there < low) {
            int full = inWeeks(FULL_WEEKS, sold, days);
            return new Consignment(
                    Do.BRING,
                    full - there,
                    Sentence.of("About {0} go in {1} weeks.", Value.of(full), Value.of(FULL_WEEKS)));
        }
        int most = inWeeks(MOST_WEEKS, sold, days);
        if (there > most && lying.lyingDays() >= DEAD_WEEKS * DAYS_OF_A_WEEK) {
            return new Consignment(
                    Do.TAKE_BACK, there - most, Sentence.of("About {0} go in half a year.", Value.of(most)));
        }
        return new Consignment(Do.LEAVE, 0, Sentence.of("As many as go there."));
    }

    /**
     * What to do with a kind that mayn't be sold there.
     *
     * @param why in a sentence
     */
    public static Consignment barred(int there, Sentence why) {
        return new Consignment(there > 0 ? Do.TAKE_BACK : Do.LEAVE, there, why);
    }

    /** How many go in some weeks at the pace of the days that count, rounded up. */
    private static int inWeeks(int weeks, int sold, long days) {
        long all = (long) sold * weeks * DAYS_OF_A_WEEK;
        return Math.toIntExact((all + days - 1) / days);
    }
}
