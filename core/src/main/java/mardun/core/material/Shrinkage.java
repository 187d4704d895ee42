package mardun.core.material;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.RoundingMode;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * What a cloth still loses in length and width, and when. Washed before it is cut, it is narrower by that share and more of it
 * is taken; cut first and washed when it is sewn, its pieces are cut larger, so that they have their size afterwards.
 *
 * @param share from 0 to less than 1
 * @param afterCutting it shrinks when it has been cut
 */
public record Shrinkage(BigDecimal share, boolean afterCutting) {

    /** It keeps its size. */
    public static final Shrinkage NONE = new Shrinkage(BigDecimal.ZERO, false);

    private static final long SIXTY_FOURTH_OF_AN_INCH = 396_875;
    private static final long EIGHTH_OF_AN_INCH = 8 * SIXTY_FOURTH_OF_AN_INCH;
    private static final long MILLIMETRE = 1_000_000;

    public Shrinkage {
        if (share.signum() < 0 || share.compareTo(BigDecimal.ONE) >= 0) {
            throw new IllegalArgumentException("a cloth loses from nothing to less than all of its size: " + share);
        }
    }

    /** It shrinks before it is cut. */
    public boolean isBefore() {
        return !afterCutting && share.signum() > 0;
    }

    /** Its pieces are cut larger than they are to be. */
    public boolean isAfter() {
        return afterCutting && share.signum() > 0;
    }

    /** What is there of a length when it is cut, rounded down. */
    public Length whenCut(Length raw) {
        return isBefore() ? Length.rounded(raw.exact().multiply(staying()), RoundingMode.FLOOR) : raw;
    }

    /** What has to be taken to cut so much: the length ÷ (1 − shrinkage), rounded up, where it is washed first. */
    public Length toTake(Length cut) {
        return isBefore() ? grown(cut) : cut;
    }

    /**
     * The size in which a piece is cut: each side ÷ (1 − shrinkage), where it shrinks afterwards. Rounded up to the
     * marks of a cutting ruler: eighths of an inch for a side that is whole in sixty-fourths, else millimetres.
     */
    public Extent toCut(Extent finished) {
        return isAfter() ? new Extent(toCut(finished.width()), toCut(finished.height())) : finished;
    }

    private Length toCut(Length side) {
        long mark = side.nanometres() % SIXTY_FOURTH_OF_AN_INCH == 0 ? EIGHTH_OF_AN_INCH : MILLIMETRE;
        return new Length((grown(side).nanometres() + mark - 1) / mark * mark);
    }

    private Length grown(Length side) {
        return Length.rounded(side.exact().divide(staying()), RoundingMode.CEILING);
    }

    private BigFraction staying() {
        BigDecimal stays = BigDecimal.ONE.subtract(share);
        return BigFraction.of(stays.unscaledValue(), BigInteger.TEN.pow(stays.scale()));
    }
}
