package mardun.app.plan;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.core.batch.LineCounts;
import mardun.core.batch.PiecesMoved;
import org.jspecify.annotations.Nullable;

/**
 * What a maker chose for a line of a batch, and how far it is.
 *
 * @param number what the line is known by in its batch, from 1 on
 * @param revision which of the design's revisions it is planned with
 * @param sizeKey what the size is known by, whatever it is called by now; absent where nobody kept that
 * @param sizeName what the size was called when it was chosen
 * @param wanted how many bags are wanted
 * @param started how many are begun: as many or more
 * @param picks what was chosen where the design leaves something open, other than the usual: keys of alternatives by those of their choices
 * @param materials which material fills which slot
 * @param ownPriceMinor the maker's price; empty to take the suggested one
 * @param good how many came out well so far
 * @param seconds how many came out as seconds
 * @param scrap how many didn't come out
 * @param brought while it is planned: for how many bags pieces are taken that lie there cut and not sewn, by the cloth
 * @param moved cut pieces that came to it or went from it
 */
public record ChosenLine(
        int number,
        DesignId designId,
        int revision,
        @Nullable String sizeKey,
        String sizeName,
        int wanted,
        int started,
        Map<String, String> picks,
        Map<String, MaterialId> materials,
        Optional<Long> ownPriceMinor,
        int good,
        int seconds,
        int scrap,
        Map<MaterialId, Integer> brought,
        PiecesMoved moved) {

    public ChosenLine {
        picks = Map.copyOf(picks);
        materials = new LinkedHashMap<>(materials);
        brought = Map.copyOf(brought);
    }

    /** How many are wanted and begun. */
    public LineCounts counts() {
        return new LineCounts(wanted, started);
    }

    /** The same line for other numbers of bags. */
    public ChosenLine with(LineCounts counts) {
        return as(number, counts, brought, moved);
    }

    /** The same line under another number. */
    public ChosenLine numbered(int other) {
        return as(other, counts(), brought, moved);
    }

    /** The same line with pieces from the shelf for other numbers of bags. */
    public ChosenLine bringing(Map<MaterialId, Integer> others) {
        return as(number, counts(), others, moved);
    }

    /** The same line with other cut pieces that came or went. */
    public ChosenLine moving(PiecesMoved others) {
        return as(number, counts(), brought, others);
    }

    /** The same line planned with its design at another revision, where its size may be called otherwise. */
    public ChosenLine at(int otherRevision, String otherSizeName, Map<String, MaterialId> otherMaterials) {
        return new ChosenLine(
                number,
                designId,
                otherRevision,
                sizeKey,
                otherSizeName,
                wanted,
                started,
                picks,
                otherMaterials,
                ownPriceMinor,
                good,
                seconds,
                scrap,
                brought,
                moved);
    }

    /** The bags of it that are begun elsewhere, in a line of their own: nothing of them is done. */
    public ChosenLine ofItsOwn(LineCounts counts) {
        return new ChosenLine(
                number,
                designId,
                revision,
                sizeKey,
                sizeName,
                counts.wanted(),
                counts.started(),
                picks,
                materials,
                ownPriceMinor,
                0,
                0,
                0,
                Map.of(),
                PiecesMoved.NONE);
    }

    private ChosenLine as(
            int otherNumber, LineCounts counts, Map<MaterialId, Integer> otherBrought, PiecesMoved otherMoved) {
        return new ChosenLine(
                otherNumber,
                designId,
                revision,
                sizeKey,
                sizeName,
                counts.wanted(),
                counts.started(),
                picks,
                materials,
                ownPriceMinor,
                good,
                seconds,
                scrap,
                otherBrought,
                otherMoved);
    }

    /** Whether another line is of the same bags: design, size, choices, materials and price. */
    public boolean isLike(ChosenLine other) {
        return designId.equals(other.designId)
                && revision == other.revision
                && sizeName.equals(other.sizeName)
                && picks.equals(other.picks)
                && materials.equals(other.materials)
                && ownPriceMinor.equals(other.ownPriceMinor);
    }

    /** How many are done, however they came out. */
    public int done() {
        return good + seconds + scrap;
    }

    /** How many are still to be made. */
    public int open() {
        return started - done();
    }

    /** How many carry the cost, once all are done: those that came out, as good ones or as seconds. */
    OptionalInt carrying() {
        return open() == 0 ? OptionalInt.of(good + seconds) : OptionalInt.empty();
    }
}
