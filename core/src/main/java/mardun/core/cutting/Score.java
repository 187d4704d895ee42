package mardun.core.cutting;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import mardun.core.cutting.SearchProblem.Sheet;

/**
 * What a layout costs in the search, in a unit of the caller's: cloth, the maker's minutes for ruler and cutter, less what
 * goes back on the shelf.
 *
 * @param perStep what a step of the bolt's length costs
 * @param perSetting what setting the ruler to another height of strip costs
 * @param perCut what a cut through all layers costs
 * @param layers how many layers are cut at once
 * @param perArea what a square step of the bolt that goes back on the shelf is worth; 0 if nothing that goes back counts
 * @param keepShort the shorter side of the smallest rectangle that is kept
 * @param keepLong the longer side of the smallest rectangle that is kept
 * @param onlyLargest only the largest rectangle that goes back counts
 * @param use how likely what goes back is to be used
 * @param large the area from which it counts as large
 */
record Score(
        double perStep,
        double perSetting,
        double perCut,
        int layers,
        double perArea,
        int keepShort,
        int keepLong,
        boolean onlyLargest,
        OffcutUse use,
        double large) {

    /** One for which all that goes back is used. */
    Score(
            double perStep,
            double perSetting,
            double perCut,
            int layers,
            double perArea,
            int keepShort,
            int keepLong,
            boolean onlyLargest) {
        this(perStep, perSetting, perCut, layers, perArea, keepShort, keepLong, onlyLargest, OffcutUse.CERTAIN, 0);
    }

    private static final Comparator<StripPattern> BY_HEIGHT_AND_CUT =
            Comparator.comparingInt(StripPattern::height).thenComparingInt(StripPattern::signature);

    /** Cloth alone. */
    static Score ofCloth(double perStep) {
        return new Score(perStep, 0, 0, 1, 0, Integer.MAX_VALUE, Integer.MAX_VALUE, false);
    }

    boolean countsCuts() {
        return perSetting > 0 || perCut > 0;
    }

    /** The cost of cutting these strips of the bolt, less the worth of what they leave. */
    double of(List<StripPattern> strips, int width) {
        double rests = 0;
        for (StripPattern strip : strips) {
            double rest = perArea * kept(width - strip.taken(), strip.height());
            rests = onlyLargest ? Math.max(rests, rest) : rests + rest;
        }
        return (countsCuts() ? cutting(strips) : 0) - rests;
    }

    /** The cost of cutting a sheet, less the worth of what is left of it: its share of what the sheet costs. */
    double of(SheetFill.Filled filled, Sheet sheet) {
        double its =
                onlyLargest ? perArea : Math.signum(perArea) * sheet.cost() / ((double) sheet.width() * sheet.length());
        double rests = its * kept(filled.restWidth(), filled.restLength());
        for (SheetFill.Strip strip : filled.strips()) {
            double rest = its
                    * kept(
                            strip.length() - strip.pattern().taken(),
                            strip.pattern().height());
            rests = onlyLargest ? Math.max(rests, rest) : rests + rest;
        }
        return (countsCuts() ? cutting(filled.patterns()) : 0) - rests;
    }

    /** The area of a rest as far as it is likely to be used, or nothing if it is too small to be kept. */
    private double kept(int wide, int high) {
        if (Math.min(wide, high) < keepShort || Math.max(wide, high) < keepLong) {
            return 0;
        }
        double area = (double) wide * high;
        return area * use.of(area, (double) keepShort * keepLong, large);
    }

    private double cutting(List<StripPattern> strips) {
        StripPattern[] sorted = strips.toArray(StripPattern[]::new);
        Arrays.sort(sorted, BY_HEIGHT_AND_CUT);
        double cost = 0;
        int like = 0;
        for (int i = 0; i < sorted.length; i++) {
            StripPattern strip = sorted[i];
            boolean newHeight = i == 0 || sorted[i - 1].height() != strip.height();
            like = newHeight || sorted[i - 1].signature() != strip.signature() ? 0 : like + 1;
            boolean newPass = like % layers == 0;
            cost += perCut * (1 + (newPass ? strip.crossCuts() : 0)) + (newHeight ? perSetting : 0);
        }
        return cost;
    }

    /** What choosing a strip adds, as far as it can be told by itself; {@code like} are those that there are already. */
    double ofAdding(StripPattern strip, List<StripPattern> like) {
        if (!countsCuts()) {
            return 0;
        }
        boolean newHeight = true;
        boolean newPattern = true;
        for (StripPattern other : like) {
            if (other.height() == strip.height()) {
                newHeight = false;
                newPattern &= other.signature() != strip.signature();
            }
        }
        double passes = newPattern ? 1 : 1.0 / layers;
        return perCut * (1 + strip.crossCuts() * passes) + (newHeight ? perSetting : 0);
    }
}
