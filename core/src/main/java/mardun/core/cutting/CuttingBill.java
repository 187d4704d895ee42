package mardun.core.cutting;

import java.math.BigInteger;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import mardun.core.cutting.Offcuts.Left;
import mardun.core.material.ClothPiece;
import mardun.core.measure.Area;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * What a layout costs: cloth and the minutes of cutting, less the worth of what goes back on the shelf.
 *
 * @param boltLength what is cut from the bolt, with what squares its end
 * @param least no layout of the pieces that lie on the bolt is shorter: their area over the width, rounded up
 * @param settings how often the ruler is set to another height of strip
 * @param cuts how many cuts are made, each through all layers
 * @param curves how far the blade goes along templates, once the rectangles are cut
 * @param time of cutting
 * @param cloth what bolt, offcuts and precuts cost, in exact minor units
 * @param kept the rests that are large enough to keep
 * @param goesBack what they are worth, in exact minor units
 * @param back of what that is a part
 * @param toBuy the length of rolls that has to be bought, where it is known which rolls there are
 * @param total cloth and time, less what goes back as far as it is likely to be used, in exact minor units
 */
public record CuttingBill(
        Length boltLength,
        Length least,
        int settings,
        int cuts,
        Length curves,
        Duration time,
        BigFraction cloth,
        List<Left> kept,
        BigFraction goesBack,
        Back back,
        Length toBuy,
        BigFraction total) {

    /**
     * What goes back on the shelf, as parts of what was cut, so that it can't be more than that.
     *
     * @param ofRolls the share of all that was cut from rolls, from 0 to 1
     * @param ofSheets what the rests of offcuts and precuts are worth, in exact minor units
     */
    public record Back(BigFraction ofRolls, BigFraction ofSheets) {

        /** Nothing goes back, or it was counted already. */
        public static final Back NOTHING = new Back(BigFraction.ZERO, BigFraction.ZERO);

        /** What it is worth where the rolls' cloth cost so much, in exact minor units. */
        public BigFraction worth(BigFraction rollsCost) {
            return rollsCost.multiply(ofRolls).add(ofSheets);
        }
    }

    /** The bill of a layout that can be cut. */
    public static CuttingBill of(CuttingLayout layout, CuttingJob job) {
        return of(layout, job.sheets(), job.pieces(), job.terms());
    }

    /**
     * The same, without knowing what it had to give.
     *
     * @param sheets the offcuts and precuts that it may lie on
     * @param kinds the pieces that lie on it
     */
    public static CuttingBill of(
            CuttingLayout layout, List<ClothPiece> sheets, List<CutPiece> kinds, CuttingTerms terms) {
        Map<Extent, Long> kept = new LinkedHashMap<>();
        BigFraction cloth = BigFraction.ZERO;
        BigFraction goesBack = BigFraction.ZERO;
        BigFraction ofSheets = BigFraction.ZERO;
        BigFraction likely = BigFraction.ZERO;
        Length toBuy = Length.ZERO;
        BigInteger backOnRolls = BigInteger.ZERO;
        BigInteger rolls = BigInteger.ZERO;
        int settings = 0;
        int cuts = 0;
        Map<PieceKey, Long> pieces = new HashMap<>();
        for (ClothLayout one : layout.cloths()) {
            CutTree tree = CutTree.of(one);
            BigFraction price = price(one, sheets, terms);
            Length squaring = one.isBolt() ? terms.squaring() : Length.ZERO;
            BigFraction itsCost = one.isBolt() ? cost(one.length().plus(squaring), terms) : price;
            cloth = cloth.add(itsCost);
            if (one.isOfAnyRoll()) {
                toBuy = toBuy.plus(one.length()).plus(squaring);
            }
            if (one.isBolt()) {
                rolls = rolls.add(
                        Area.of(one.width(), one.length().plus(squaring)).squareNanometres());
            }
            settings += settings(tree);
            cuts += cuts(tree, terms.layers()) + (one.isBolt() ? 1 : 0) + (squaring.isPositive() ? 1 : 0);
            one.pieces().forEach(piece -> pieces.merge(piece.key(), piece.count(), Long::sum));
            for (CutTree rest : tree.rests().toList()) {
                if (Offcuts.isWorthKeeping(rest.extent(), terms.keepShort(), terms.keepLong())) {
                    kept.merge(rest.extent(), 1L, Long::sum);
                    if (terms.offcutsCarryTheirShare()) {
                        Area area = rest.extent().area();
                        BigFraction worth = price.multiply(share(area, one.area()));
                        goesBack = goesBack.add(worth);
                        likely = likely.add(worth.multiply(terms.likelyUse(area)));
                        if (one.isBolt()) {
                            backOnRolls = backOnRolls.add(area.squareNanometres());
                        } else {
                            ofSheets = ofSheets.add(worth);
                        }
                    }
                }
            }
        }
        Length curves = curves(pieces, kinds, terms);
        Duration time = terms.setting()
                .multipliedBy(settings)
                .plus(terms.cut().multipliedBy(cuts))
                .plus(terms.piece()
                        .multipliedBy(pieces.values().stream()
                                .mapToLong(Long::longValue)
                                .sum()))
                .plus(terms.curves().time(curves));
        return new CuttingBill(
                layout.takenOfRolls(terms.squaring()),
                layout.leastLength(),
                settings,
                cuts,
                curves,
                time,
                cloth,
                kept.entrySet().stream()
                        .map(entry -> new Left(entry.getKey(), entry.getValue()))
                        .toList(),
                goesBack,
                new Back(rolls.signum() == 0 ? BigFraction.ZERO : BigFraction.of(backOnRolls, rolls), ofSheets),
                toBuy,
                cloth.add(terms.minorPerSecond().multiply(time.toSeconds())).subtract(likely));
    }

    /** Equal pieces lie one on another, as many as are cut at once. */
    private static Length curves(Map<PieceKey, Long> pieces, List<CutPiece> kinds, CuttingTerms terms) {
        int atOnce = terms.curvesAtOnce();
        return kinds.stream()
                .map(kind -> kind.alongTemplate().times((pieces.getOrDefault(kind.key(), 0L) + atOnce - 1) / atOnce))
                .reduce(Length.ZERO, Length::plus);
    }

    /**
     * How much more of the bolt's length is used than the least possible, without what squares its end; of cloth that is bought
     * by the sheet, how many sheets more.
     */
    public BigFraction overLeast(CuttingLayout layout) {
        long leastSheets = layout.leastSheets();
        if (leastSheets > 0) {
            return BigFraction.of(layout.sheets() - leastSheets, leastSheets);
        }
        Length used = layout.boltLength();
        return least.isZero()
                ? BigFraction.ZERO
                : BigFraction.of(used.minus(least).nanometres(), least.nanometres());
    }

    private static BigFraction price(ClothLayout one, List<ClothPiece> sheets, CuttingTerms terms) {
        return one.isBolt()
                ? cost(one.length(), terms)
                : sheets.stream()
                        .filter(sheet -> sheet.key().equals(one.lot()))
                        .map(ClothPiece::minorEach)
                        .findFirst()
                        .orElse(BigFraction.ZERO);
    }

    private static BigFraction cost(Length length, CuttingTerms terms) {
        return terms.minorPerNanometre().multiply(length.nanometres());
    }

    private static BigFraction share(Area part, Area whole) {
        return BigFraction.of(part.squareNanometres(), whole.squareNanometres());
    }

    private static int settings(CutTree tree) {
        Set<Length> sizes = new HashSet<>();
        for (CutTree part : tree.parts()) {
            if (!part.isRest()) {
                sizes.add(tree.across() ? part.height() : part.width());
            }
        }
        return sizes.size();
    }

    /** Each strip is one cut; equal strips are then cut into pieces through several layers. */
    private static int cuts(CutTree tree, int layers) {
        int cuts = Math.max(0, tree.parts().size() - 1);
        List<CutTree> different = new ArrayList<>();
        List<Integer> times = new ArrayList<>();
        for (CutTree part : tree.parts()) {
            int known = 0;
            while (known < different.size() && !different.get(known).isLike(part)) {
                known++;
            }
            if (known == different.size()) {
                different.add(part);
                times.add(0);
            }
            times.set(known, times.get(known) + 1);
        }
        for (int i = 0; i < different.size(); i++) {
            cuts += different.get(i).cuts() * ((times.get(i) + layers - 1) / layers);
        }
        return cuts;
    }
}
