package mardun.core.label;

import java.util.Optional;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;

/**
 * A sheet of labels: labels of one size in rows and columns, counted row by row from the upper left one.
 *
 * @param page the whole sheet of paper
 * @param left from the page's edge to the first label
 * @param top likewise
 * @param label what each measures
 * @param stepAcross from one label's left edge to the next one's
 * @param stepDown from one label's upper edge to the next one's
 * @param across how many lie beside one another
 * @param down how many rows there are
 */
public record LabelSheet(
        Extent page, Length left, Length top, Extent label, Length stepAcross, Length stepDown, int across, int down) {

    /** Why a sheet can't be as it was measured. */
    public enum Misfit {
        TOO_WIDE,
        TOO_HIGH,
        OVERLAP_ACROSS,
        OVERLAP_DOWN
    }

    /**
     * Where a label lies.
     *
     * @param page from 0
     * @param left from the page's left edge
     * @param top from its upper edge
     */
    public record Spot(int page, Length left, Length top) {}

    /** Labels with the same gaps between them, in the middle of the page. */
    public static LabelSheet centred(
            Extent page, Extent label, Length gapAcross, Length gapDown, int across, int down) {
        Length stepAcross = label.width().plus(gapAcross);
        Length stepDown = label.height().plus(gapDown);
        return new LabelSheet(
                page,
                half(page.width().minus(stepAcross.times(across - 1L)).minus(label.width())),
                half(page.height().minus(stepDown.times(down - 1L)).minus(label.height())),
                label,
                stepAcross,
                stepDown,
                across,
                down);
    }

    private static Length half(Length length) {
        return new Length(length.nanometres() / 2);
    }

    /** How many are on a page. */
    public int labels() {
        return across * down;
    }

    /** What is wrong with the measures; empty where all labels lie on the page and beside one another. */
    public Optional<Misfit> misfit() {
        if (across > 1 && label.width().isLongerThan(stepAcross)) {
            return Optional.of(Misfit.OVERLAP_ACROSS);
        }
        if (down > 1 && label.height().isLongerThan(stepDown)) {
            return Optional.of(Misfit.OVERLAP_DOWN);
        }
        if (reach(left, stepAcross, across, label.width()).isLongerThan(page.width())) {
            return Optional.of(Misfit.TOO_WIDE);
        }
        return reach(top, stepDown, down, label.height()).isLongerThan(page.height())
                ? Optional.of(Misfit.TOO_HIGH)
                : Optional.empty();
    }

    private static Length reach(Length margin, Length step, int many, Length label) {
        return margin.plus(step.times(many - 1L)).plus(label);
    }

    /**
     * Where the label with a number lies, on as many pages as it takes.
     *
     * @param number from 0, counted on over the pages
     */
    public Spot spot(int number) {
        int onPage = number % labels();
        return new Spot(
                number / labels(),
                left.plus(stepAcross.times(onPage % across)),
                top.plus(stepDown.times(onPage / across)));
    }

    /** How many pages so many labels take when the first {@code used} of the first page are gone. */
    public int pages(int used, int many) {
        return (used + many + labels() - 1) / labels();
    }
}
