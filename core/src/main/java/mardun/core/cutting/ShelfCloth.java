package mardun.core.cutting;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mardun.core.material.ClothPiece;
import mardun.core.material.Roll;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;

/**
 * A cloth as it lies on the shelf.
 *
 * @param width usable width of its rolls when they are cut
 * @param sheets the offcuts and precuts that may be cut into; each is paid whole
 * @param rolls with what may be cut from each; none where any length can be had
 * @param repeat the height after which its print comes again; empty where that doesn't matter
 * @param oneDye all of a batch has to come from one dye lot; else all pieces of a bag have to
 */
public record ShelfCloth(
        Length width, List<ClothPiece> sheets, List<Roll> rolls, Optional<Length> repeat, boolean oneDye) {

    public ShelfCloth {
        sheets = List.copyOf(sheets);
        rolls = List.copyOf(rolls);
        if (repeat.isPresent() && !repeat.get().isPositive()) {
            throw new IllegalArgumentException("a print comes again after some height: " + repeat.get());
        }
    }

    /** A cloth of which any length can be had, without a print that has to be met. */
    public static ShelfCloth endless(Length width, List<ClothPiece> sheets) {
        return new ShelfCloth(width, sheets, List.of(), Optional.empty(), false);
    }

    /** This cloth as if any length of another width could be had of it, and no offcuts. */
    public ShelfCloth whole(Length otherWidth) {
        return new ShelfCloth(otherWidth, List.of(), List.of(), repeat, oneDye);
    }

    /** This cloth with other offcuts and precuts. */
    ShelfCloth withSheets(List<ClothPiece> others) {
        return new ShelfCloth(width, others, rolls, repeat, oneDye);
    }

    /** This cloth with other rolls. */
    ShelfCloth with(List<Roll> others) {
        return new ShelfCloth(width, sheets, others, repeat, oneDye);
    }

    /** The dye lot of one of a layout's cloths; empty where it has no mark, or may be any roll. */
    public String dyeOf(ClothLayout cloth) {
        Stream<String> marks = cloth.isBolt()
                ? rolls.stream()
                        .filter(roll -> roll.key().equals(cloth.lot()))
                        .map(roll -> oneDye ? roll.provenDyeLot() : roll.dyeLot())
                : sheets.stream()
                        .filter(sheet -> sheet.key().equals(cloth.lot()))
                        .map(ClothPiece::dyeLot);
        return marks.findFirst().orElse("");
    }

    /** Whether a layout's cloths are of more than one dye lot, so that it matters from which one a piece is cut. */
    public boolean isOfSeveralDyes(CuttingLayout layout) {
        return layout.cloths().stream().map(this::dyeOf).distinct().count() > 1;
    }

    /** Up to the next height at which the print is the same as at the beginning. */
    Length toTheRepeat(Length height) {
        return repeat.map(each -> {
                    long of = each.nanometres();
                    return new Length(Math.multiplyExact(-Math.floorDiv(-height.nanometres(), of), of));
                })
                .orElse(height);
    }

    /** Whether all pieces of a kind have to begin at the same height of this cloth's print. */
    public boolean isMetBy(CutPiece piece) {
        return repeat.isPresent() && piece.meetsPrint();
    }

    /** A piece as high as the cloth that it takes in a strip of its own kind: whole repeats, where it meets the print. */
    public CutPiece asHighAsItTakes(CutPiece piece) {
        Extent extent = piece.extent();
        return isMetBy(piece)
                ? new CutPiece(
                        piece.letter(),
                        piece.name(),
                        new Extent(extent.width(), toTheRepeat(extent.height())),
                        piece.count(),
                        false,
                        true)
                : piece;
    }
}
