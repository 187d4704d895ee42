package mardun.core.cutting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;

/**
 * A piece that is cut once more because one was spoiled: from the smallest rest that holds it, or if none does from a new
 * strip at the end of the bolt.
 *
 * @param cloth which of the layout's cloths it is cut from; one beyond the last is the bolt, which wasn't cut into before
 */
public record Recut(int cloth, Placed piece) {

    private record Place(int cloth, CutTree rest, boolean turned) {}

    /** Where a piece is cut once more, with the smallest loss. */
    public static Recut of(CuttingLayout layout, CutPiece kind) {
        List<Place> places = new ArrayList<>();
        for (int i = 0; i < layout.cloths().size(); i++) {
            int cloth = i;
            CutTree.of(layout.cloths().get(i)).rests().forEach(rest -> {
                if (fits(kind.extent(), rest.extent())) {
                    places.add(new Place(cloth, rest, false));
                } else if (kind.mayTurn() && fits(kind.extent().turned(), rest.extent())) {
                    places.add(new Place(cloth, rest, true));
                }
            });
        }
        return places.stream()
                .min(Comparator.comparing(place -> place.rest().extent().area()))
                .map(place -> new Recut(
                        place.cloth(),
                        placed(kind, place.rest().x(), place.rest().y(), place.turned())))
                .orElseGet(() -> fromBolt(layout, kind));
    }

    private static Recut fromBolt(CuttingLayout layout, CutPiece kind) {
        int bolt = 0;
        while (bolt < layout.cloths().size() && !layout.cloths().get(bolt).isBolt()) {
            bolt++;
        }
        boolean liesLower = kind.mayTurn()
                && kind.extent().width().compareTo(kind.extent().height()) < 0
                && layout.bolt()
                        .map(cloth -> kind.extent().height().compareTo(cloth.width()) <= 0)
                        .orElse(false);
        return new Recut(bolt, placed(kind, Length.ZERO, layout.boltLength(), liesLower));
    }

    private static Placed placed(CutPiece kind, Length x, Length y, boolean turned) {
        Extent lies = turned ? kind.extent().turned() : kind.extent();
        return new Placed(kind.letter(), x, y, lies.width(), lies.height(), turned);
    }

    private static boolean fits(Extent piece, Extent rest) {
        return piece.width().compareTo(rest.width()) <= 0 && piece.height().compareTo(rest.height()) <= 0;
    }

    /**
     * A layout with pieces that are cut once more.
     *
     * @param width of the bolt, if it wasn't cut into before
     */
    public static CuttingLayout with(CuttingLayout layout, List<Recut> recuts, Length width) {
        List<ClothLayout> cloths = new ArrayList<>(layout.cloths());
        for (Recut recut : recuts) {
            ClothLayout cloth = recut.cloth() < cloths.size()
                    ? cloths.get(recut.cloth())
                    : ClothLayout.onBolt(width, Length.ZERO, List.of());
            List<Placed> pieces = new ArrayList<>(cloth.pieces());
            pieces.add(recut.piece());
            Optional<Length> longer = cloth.isBolt()
                    ? Optional.of(cloth.length().max(recut.piece().top()))
                    : Optional.empty();
            ClothLayout next = new ClothLayout(cloth.lot(), cloth.width(), longer.orElse(cloth.length()), pieces);
            if (recut.cloth() < cloths.size()) {
                cloths.set(recut.cloth(), next);
            } else {
                cloths.add(next);
            }
        }
        return new CuttingLayout(cloths);
    }
}
