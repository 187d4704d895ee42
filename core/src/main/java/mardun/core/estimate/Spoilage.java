package mardun.core.estimate;

import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * What share of the bags doesn't come out. It begins at what is usual and moves to what happened, by degrees: what is usual counts as much as
 * {@value #USUAL_COUNTS} bags.
 *
 * @param share of the bags that are begun; at least 0, below 1, to four places
 * @param bags on how many bags it rests
 * @param lost how many of them didn't come out
 */
public record Spoilage(BigDecimal share, int bags, int lost) {

    /** As long as nothing is known one bag of fifty doesn't come out. */
    public static final BigDecimal USUAL = new BigDecimal("0.02");

    /** What is usual counts as much as so many bags. */
    public static final int USUAL_COUNTS = 25;

    private static final int PLACES = 4;
    private static final BigDecimal MOST = new BigDecimal("0.9");

    /**
     * The estimate.
     *
     * @param usual what is usual where less is known: of all designs, or of the same step in others
     * @param bags how many were begun
     * @param lost how many of them didn't come out
     * @throws IllegalArgumentException if more were lost than begun, or fewer than none
     */
    public static Spoilage of(BigDecimal usual, int bags, int lost) {
        if (lost < 0 || lost > bags) {
            throw new IllegalArgumentException(lost + " lost of " + bags);
        }
        BigDecimal share = usual.multiply(BigDecimal.valueOf(USUAL_COUNTS))
                .add(BigDecimal.valueOf(lost))
                .divide(BigDecimal.valueOf(USUAL_COUNTS + bags), PLACES, RoundingMode.HALF_UP);
        return new Spoilage(share.min(MOST), bags, lost);
    }
}
