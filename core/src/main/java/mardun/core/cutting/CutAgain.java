package mardun.core.cutting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import mardun.core.material.ClothPiece;
import mardun.core.material.Roll;
import mardun.core.measure.Length;

/**
 * Pieces that are cut once more after all cloth of their batch was cut: from what lies on the shelf now. Each comes from the smallest
 * offcut or rest that holds it, and from a roll only where none does; all of them are of one dye.
 */
public final class CutAgain {

    private CutAgain() {}

    /** The dyes of which there is any cloth on the shelf, with the empty mark of rolls that have none. */
    public static Set<String> dyes(ShelfCloth shelf) {
        Set<String> dyes = new TreeSet<>();
        shelf.rolls().forEach(roll -> dyes.add(roll.dyeLot()));
        shelf.sheets().forEach(sheet -> dyes.add(sheet.dyeLot()));
        return dyes;
    }

    /**
     * Where the pieces lie, on cloths that are cut into and no others; empty if the shelf doesn't give them. What is left of a roll is
     * looked at before another roll is.
     *
     * @param pieces how many of each
     * @param dye the dyer's mark, empty for cloth that has none; an offcut without a mark goes with any
     * @param squaring what is cut off the end of each roll to square it
     */
    public static Optional<CuttingLayout> of(List<CutPiece> pieces, ShelfCloth shelf, String dye, Length squaring) {
        ShelfCloth ofDye = shelf.bySheet() ? shelf : ofDye(shelf, dye);
        List<CutPiece> largestFirst = pieces.stream()
                .sorted(Comparator.comparing((CutPiece piece) -> piece.extent().area())
                        .reversed()
                        .thenComparing(CutPiece::key))
                .toList();
        long most = pieces.stream().mapToLong(CutPiece::count).sum();
        CuttingLayout layout = new CuttingLayout(untouched(ofDye, most));
        for (CutPiece piece : largestFirst) {
            for (long i = 0; i < piece.count(); i++) {
                Recut recut = Recut.of(layout, piece, ofDye, squaring);
                boolean isOnTheShelf = ofDye.bySheet()
                        || recut.cloth() < layout.cloths().size()
                                && lies(recut, layout.cloths().get(recut.cloth()));
                if (!isOnTheShelf) {
                    return Optional.empty();
                }
                layout = Recut.with(layout, List.of(recut), ofDye);
            }
        }
        return Optional.of(new CuttingLayout(layout.cloths().stream()
                .filter(cloth -> !cloth.pieces().isEmpty())
                .toList()));
    }

    private static ShelfCloth ofDye(ShelfCloth shelf, String dye) {
        return shelf.with(shelf.rolls().stream()
                        .filter(roll -> roll.dyeLot().equals(dye))
                        .toList())
                .withSheets(shelf.sheets().stream()
                        .filter(sheet ->
                                sheet.dyeLot().equals(dye) || sheet.dyeLot().isEmpty())
                        .toList());
    }

    /** What could be cut into: no more of a lot of offcuts than there are pieces. */
    private static List<ClothLayout> untouched(ShelfCloth shelf, long most) {
        if (shelf.bySheet()) {
            return List.of();
        }
        List<ClothLayout> cloths = new ArrayList<>();
        for (ClothPiece piece : shelf.sheets()) {
            Stream.generate(() -> new ClothLayout(
                            piece.key(),
                            false,
                            piece.extent().width(),
                            piece.extent().height(),
                            List.of()))
                    .limit(Math.min(most, piece.count()))
                    .forEach(cloths::add);
        }
        for (Roll roll : shelf.rolls()) {
            cloths.add(new ClothLayout(roll.key(), true, shelf.width(), Length.ZERO, List.of()));
        }
        return cloths;
    }

    /** A piece that is wider than the cloth is found no room for, and is laid on the end of a roll all the same. */
    private static boolean lies(Recut recut, ClothLayout cloth) {
        return recut.piece().right().compareTo(cloth.width()) <= 0;
    }
}
