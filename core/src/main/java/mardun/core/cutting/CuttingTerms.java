package mardun.core.cutting;

import java.time.Duration;
import mardun.core.measure.Area;
import mardun.core.measure.Length;
import mardun.core.money.Apportionment;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * What cutting costs, and what is kept of the cloth.
 *
 * @param minorPerNanometre the price of a nanometre of the bolt's length, in exact minor units
 * @param minorPerSecond the price of a second of the maker's time, in exact minor units
 * @param setting the time for setting the ruler to another height of strip
 * @param cut the time for one cut through all layers
 * @param piece the time for taking up one piece
 * @param layers how many layers of this cloth are cut at once; one or more
 * @param squaring what is cut off the end of the bolt to make it square
 * @param keepShort the shorter side of the smallest offcut that is kept
 * @param keepLong its longer side
 * @param use how likely offcuts are to be used some day
 * @param offcutsCarryTheirShare an offcut is worth its share of the cloth's price; else it counts as paid for
 * @param curves how outlines are cut along a template
 */
public record CuttingTerms(
        BigFraction minorPerNanometre,
        BigFraction minorPerSecond,
        Duration setting,
        Duration cut,
        Duration piece,
        int layers,
        Length squaring,
        Length keepShort,
        Length keepLong,
        OffcutUse use,
        boolean offcutsCarryTheirShare,
        Curves curves) {

    /**
     * How outlines are cut along a template, once the rectangles are cut.
     *
     * @param each for 10 cm of one
     * @param oneAtATime with scissors; else with the knife, through as many layers as straight cuts
     */
    public record Curves(Duration each, boolean oneAtATime) {

        /** What takes no time. */
        public static final Curves NOTHING = new Curves(Duration.ZERO, false);

        private static final long TEN_CM = 100_000_000;

        /** How long it takes to cut so far along templates, to the second. */
        Duration time(Length length) {
            return Duration.ofSeconds(Apportionment.rounded(BigFraction.of(each.toSeconds())
                    .multiply(length.nanometres())
                    .divide(TEN_CM)));
        }
    }

    /** Terms by which every offcut is used, and outlines take no time. */
    public CuttingTerms(
            BigFraction minorPerNanometre,
            BigFraction minorPerSecond,
            Duration setting,
            Duration cut,
            Duration piece,
            int layers,
            Length squaring,
            Length keepShort,
            Length keepLong,
            boolean offcutsCarryTheirShare) {
        this(
                minorPerNanometre,
                minorPerSecond,
                setting,
                cut,
                piece,
                layers,
                squaring,
                keepShort,
                keepLong,
                OffcutUse.CERTAIN,
                offcutsCarryTheirShare,
                Curves.NOTHING);
    }

    public CuttingTerms {
        if (layers < 1) {
            throw new IllegalArgumentException("one layer or more are cut at once: " + layers);
        }
    }

    /** How many equal pieces are cut along a template at once. */
    public int curvesAtOnce() {
        return curves.oneAtATime() ? 1 : layers;
    }

    /** How likely it is that an offcut will be used. */
    BigFraction likelyUse(Area offcut) {
        return use.of(offcut, Area.of(keepShort, keepLong));
    }
}
