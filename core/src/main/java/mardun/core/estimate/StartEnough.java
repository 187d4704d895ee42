package mardun.core.estimate;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import mardun.core.working.Working;

/**
 * How many bags to start so that enough come out well. Each comes out or doesn't for itself: of n that are started the number that is
 * spoiled is binomial, and its sum is worked out in whole numbers, without rounding, until the chance is shown.
 *
 * @param start how many to start; where {@code isReached} isn't so, the most that was looked at
 * @param chances how likely enough come out, for the first {@value #CHANCES} numbers from what is wanted on and for {@code start}
 * @param isReached of {@code start} enough come out as likely as was wanted; never so only where nearly all are spoiled
 */
public record StartEnough(Figure<Integer> start, List<Chance> chances, boolean isReached) {

    /** So many beyond what is wanted are looked at. */
    private static final int MOST_MORE = 5_000;

    /** For so many numbers the chances are told. */
    static final int CHANCES = 12;

    private static final int PLACES = 4;

    /**
     * How likely it is that enough come out of so many.
     *
     * @param enough between 0 and 1, to four places, cut off
     */
    public record Chance(int start, BigDecimal enough) {}

    /** A share as a whole number of parts of a whole number. */
    private record Odds(BigInteger spoiled, BigInteger well, BigInteger of) {

        static Odds of(BigDecimal share) {
            BigInteger of = BigInteger.TEN.pow(Math.max(0, share.scale()));
            BigInteger spoiled = share.setScale(Math.max(0, share.scale()), RoundingMode.UNNECESSARY)
                    .unscaledValue();
            return new Odds(spoiled, of.subtract(spoiled), of);
        }
    }

    /**
     * The fewest to start.
     *
     * @param wanted how many have to come out well, at least one
     * @param spoilage what share doesn't
     * @param likelihood how likely it shall be that enough come out, above 0 and below 1
     */
    public static StartEnough of(int wanted, Spoilage spoilage, BigDecimal likelihood) {
        if (wanted < 1 || likelihood.signum() <= 0 || likelihood.compareTo(BigDecimal.ONE) >= 0) {
            throw new IllegalArgumentException(wanted + " wanted, as likely as " + likelihood);
        }
        List<Chance> chances = new ArrayList<>();
        Exact exact = Exact.allWell(wanted, Odds.of(spoilage.share()));
        chances.add(exact.shown());
        while (!exact.isAtLeast(likelihood) && exact.spoiled() < MOST_MORE) {
            exact = exact.oneMore();
            if (chances.size() < CHANCES) {
                chances.add(exact.shown());
            }
        }
        Chance last = exact.shown();
        if (!chances.contains(last)) {
            chances.add(last);
        }
        int start = last.start();
        return new StartEnough(
                new Figure<>(
                        start,
                        Working.of(
                                        "Of so many that are started the number that is spoiled is binomial. The fewest are started of"
                                                + " which enough come out as likely as you want it.")
                                .expression("{start}: {wanted} come out with {chance}; wanted {likelihood}")
                                .input("start", "started", Value.of(start))
                                .input("wanted", "wanted", Value.of(wanted))
                                .input("share", "share that is spoiled", new Value.Share(spoilage.share()))
                                .input("chance", "how likely enough come out", new Value.Share(last.enough()))
                                .input("likelihood", "how likely it shall be", new Value.Share(likelihood))
                                .gives(Value.of(start))),
                chances,
                exact.isAtLeast(likelihood));
    }

    /** How likely it is that of those that are started at least as many come out as are wanted; to four places, cut off. */
    public static BigDecimal chance(int wanted, int started, Spoilage spoilage) {
        if (started < wanted) {
            return BigDecimal.ZERO.setScale(PLACES);
        }
        Exact exact = Exact.allWell(wanted, Odds.of(spoilage.share()));
        while (exact.spoiled() < started - wanted) {
            exact = exact.oneMore();
        }
        return exact.shown().enough();
    }

    /**
     * How likely it is that enough come out although so many are spoiled, as one whole number over another. The last that is wanted comes out
     * as the bag after {@code wanted - 1} good ones and some spoiled ones; for each number of those in turn that is added.
     *
     * @param next what so many spoiled ones add to the part: in how many orders they lie among the good ones, times how likely each is
     */
    private record Exact(int wanted, int spoiled, Odds odds, BigInteger next, BigInteger part, BigInteger all) {

        static Exact allWell(int wanted, Odds odds) {
            BigInteger well = odds.well().pow(wanted);
            return new Exact(wanted, 0, odds, well, well, odds.of().pow(wanted));
        }

        Exact oneMore() {
            BigInteger its = next.multiply(odds.spoiled())
                    .multiply(BigInteger.valueOf((long) wanted + spoiled))
                    .divide(BigInteger.valueOf(spoiled + 1L));
            return new Exact(
                    wanted, spoiled + 1, odds, its, part.multiply(odds.of()).add(its), all.multiply(odds.of()));
        }

        boolean isAtLeast(BigDecimal likelihood) {
            return new BigDecimal(part).compareTo(likelihood.multiply(new BigDecimal(all))) >= 0;
        }

        Chance shown() {
            return new Chance(
                    wanted + spoiled, new BigDecimal(part).divide(new BigDecimal(all), PLACES, RoundingMode.DOWN));
        }
    }
}
