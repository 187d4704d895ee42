package mardun.core.cutting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.measure.Area;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;

/**
 * A piece that is cut once more because one was spoiled: from the smallest rest that holds it, or if none does from a new
 * strip of a roll, or another sheet.
 *
 * @param cloth which of the layout's cloths it is cut from; one beyond the last is any roll or sheet, which wasn't cut into
 *     before
 */
public record Recut(int cloth, Placed piece) {

    private record Place(int cloth, Area rest, Placed piece) {}

    /**
     * Where a piece is cut once more, with the smallest loss.
     *
     * @param from the cloth as it lay on the shelf before it was cut into
     * @param squaring what is cut off the end of each roll to square it
     */
    public static Recut of(CuttingLayout layout, CutPiece kind, ShelfCloth from, Length squaring) {
        return of(layout, kind, from, squaring, cloth -> true);
    }

    /**
     * The same for a piece whose bag is of one dye lot: from a cloth of that dye, or else from any roll.
     *
     * @param like of the layout's cloths the one that the spoiled piece was cut from
     */
    public static Recut like(int like, CuttingLayout layout, CutPiece kind, ShelfCloth from, Length squaring) {
        ClothLayout its = layout.cloths().get(like);
        return of(layout, kind, from, squaring, cloth -> from.goTogether(its, cloth));
    }

    private static Recut of(
            CuttingLayout layout, CutPiece kind, ShelfCloth from, Length squaring, Predicate<ClothLayout> isOfItsDye) {
        boolean meetsPrint = from.isMetBy(kind);
        boolean mayTurn = kind.mayTurn() && !meetsPrint;
        List<Place> places = new ArrayList<>();
        for (int i = 0; i < layout.cloths().size(); i++) {
            ClothLayout cloth = layout.cloths().get(i);
            for (CutTree rest : CutTree.of(cloth).rests().toList()) {
                Length y = from.upTo(rest.y(), kind);
                Length edge = cloth.isBolt() ? from.leftOf(kind) : Length.ZERO;
                Length right = rest.x().plus(rest.width());
                Length x = from.acrossTo(rest.x().max(edge), kind).orElse(right);
                Length inner = cloth.width().minus(edge);
                Extent there = new Extent(
                        (right.isLongerThan(inner) ? inner : right).minus(x),
                        rest.y().plus(rest.height()).minus(y));
                boolean upright = fits(kind.extent(), there);
                boolean isAllowed = isOfItsDye.test(cloth) && (!meetsPrint || cloth.isBolt());
                if (isAllowed && (upright || (mayTurn && fits(kind.extent().turned(), there)))) {
                    places.add(new Place(i, rest.extent().area(), placed(kind, x, y, !upright)));
                }
            }
        }
        return places.stream()
                .min(Comparator.comparing(Place::rest))
                .map(place -> new Recut(place.cloth(), place.piece()))
                .orElseGet(() -> fromRoll(layout, kind, mayTurn, from, squaring, isOfItsDye));
    }

    /** From a roll that is cut into already and still gives it; else from any roll, or from another sheet. */
    private static Recut fromRoll(
            CuttingLayout layout,
            CutPiece kind,
            boolean mayTurn,
            ShelfCloth from,
            Length squaring,
            Predicate<ClothLayout> isOfItsDye) {
        Extent upright = kind.extent();
        if (from.bySheet()) {
            boolean stands = fits(upright, from.uncut().extent());
            return new Recut(layout.cloths().size(), placed(kind, Length.ZERO, Length.ZERO, mayTurn && !stands));
        }
        boolean liesLower = mayTurn
                && upright.width().compareTo(upright.height()) < 0
                && upright.height().compareTo(from.widthFor(kind)) <= 0;
        Length height = liesLower ? upright.width() : upright.height();
        Length x = from.acrossTo(from.leftOf(kind), kind)
                .orElseThrow(() -> CannotBeCutException.offThePrint(kind, from.width()));
        for (int i = 0; i < layout.cloths().size(); i++) {
            ClothLayout cloth = layout.cloths().get(i);
            Length y = from.upTo(cloth.length(), kind);
            if (cloth.isBolt()
                    && isOfItsDye.test(cloth)
                    && hasRoom(cloth, y.plus(height).plus(squaring), from)) {
                return new Recut(i, placed(kind, x, y, liesLower));
            }
        }
        return new Recut(layout.cloths().size(), placed(kind, x, from.upTo(Length.ZERO, kind), liesLower));
    }

    private static boolean hasRoom(ClothLayout cloth, Length taken, ShelfCloth from) {
        return cloth.isOfAnyRoll()
                || from.rolls().stream()
                        .anyMatch(roll -> roll.key().equals(cloth.lot()) && taken.compareTo(roll.length()) <= 0);
    }

    private static Placed placed(CutPiece kind, Length x, Length y, boolean turned) {
        Extent lies = turned ? kind.extent().turned() : kind.extent();
        return new Placed(kind.key(), x, y, lies.width(), lies.height(), turned);
    }

    private static boolean fits(Extent piece, Extent rest) {
        return piece.width().compareTo(rest.width()) <= 0 && piece.height().compareTo(rest.height()) <= 0;
    }

    /**
     * A layout with pieces that are cut once more.
     *
     * @param from the cloth as it lay on the shelf, for what of it wasn't cut into before
     */
    public static CuttingLayout with(CuttingLayout layout, List<Recut> recuts, ShelfCloth from) {
        List<ClothLayout> cloths = new ArrayList<>(layout.cloths());
        for (Recut recut : recuts) {
            ClothLayout cloth = recut.cloth() < cloths.size() ? cloths.get(recut.cloth()) : from.uncut();
            List<Placed> pieces = new ArrayList<>(cloth.pieces());
            pieces.add(recut.piece());
            Optional<Length> longer = cloth.isBolt()
                    ? Optional.of(cloth.length().max(recut.piece().top()))
                    : Optional.empty();
            ClothLayout next =
                    new ClothLayout(cloth.lot(), cloth.ofRoll(), cloth.width(), longer.orElse(cloth.length()), pieces);
            if (recut.cloth() < cloths.size()) {
                cloths.set(recut.cloth(), next);
            } else {
                cloths.add(next);
            }
        }
        return new CuttingLayout(cloths);
    }
}
