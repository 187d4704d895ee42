package mardun.core.batch;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mardun.core.cutting.ClothLayout;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.CutTree;
import mardun.core.cutting.CuttingBill;
import mardun.core.cutting.CuttingLayout;
import mardun.core.cutting.LayoutCheck;
import mardun.core.cutting.Offcuts;
import mardun.core.cutting.PieceKey;
import mardun.core.cutting.ShelfCloth;
import mardun.core.cutting.StripsOnRolls;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import mardun.core.working.Working;

/**
 * The layout by which a batch's pieces are cut from one cloth.
 *
 * @param squaring what is cut off to square the end of the bolt
 * @param extra pieces that are cut beyond those of the batch, of each kind, because some were spoiled
 * @param back what of it goes back on the shelf as offcuts; nothing once it is cut, when the ledger has counted them
 */
public record CuttingSheet(CuttingLayout layout, Length squaring, Map<PieceKey, Long> extra, CuttingBill.Back back) {

    public CuttingSheet {
        extra = Map.copyOf(extra);
    }

    /** Whether it gives these pieces and no others, from a cloth as it lies on the shelf. */
    public boolean serves(List<CutPiece> pieces, ShelfCloth cloth) {
        return LayoutCheck.flaws(layout, withExtra(pieces), cloth, squaring).isEmpty();
    }

    /** The pieces with those that are cut once more. */
    public List<CutPiece> withExtra(List<CutPiece> pieces) {
        return pieces.stream()
                .map(piece -> piece.times(piece.count() + extra.getOrDefault(piece.key(), 0L)))
                .toList();
    }

    /** What is cut from rolls: strips, and what squares the end of each. */
    Figure<Length> length() {
        Length strips = layout.boltLength();
        if (strips.isZero()) {
            return new Figure<>(
                    strips,
                    Working.of("By the cutting sheet: all of it comes from offcuts and precuts.")
                            .expression("{strips}")
                            .input("strips", "strips from the roll", new Value.OnTheShelf(strips))
                            .gives(new Value.OnTheShelf(strips)));
        }
        Length total = layout.takenOfRolls(squaring);
        int rolls = layout.bolts().size();
        Working.Builder working = Working.of(
                        "By the cutting sheet: all strips one after another, and what squares the end.")
                .expression(rolls == 1 ? "{strips} + {squaring}" : "{strips} + {rolls} × {squaring}")
                .input("strips", "strips", new Value.OnTheShelf(strips), leastPossible());
        if (rolls > 1) {
            working.input("rolls", "rolls that are cut into", Value.of(rolls));
        }
        return new Figure<>(
                total,
                working.input("squaring", "squaring the end", Value.of(squaring))
                        .gives(new Value.OnTheShelf(total)));
    }

    /** How the strips compare with what the pieces cover. */
    private Working leastPossible() {
        Length least = layout.leastLength();
        return Working.of("As the pieces lie on the cloth. No layout is shorter than the pieces' area over the width.")
                .expression("{least} + {over}")
                .input("least", "the least possible", new Value.OnTheShelf(least))
                .input(
                        "over",
                        "beside the pieces",
                        new Value.OnTheShelf(layout.boltLength().minus(least)))
                .gives(new Value.OnTheShelf(layout.boltLength()));
    }

    /**
     * What has to be bought in one piece: what lies on any roll, but for what the rolls that are there still give of it; zero
     * where nobody said which rolls there are.
     */
    Length toBuy(ShelfCloth cloth) {
        return layout.cloths().stream()
                .filter(ClothLayout::isOfAnyRoll)
                .map(any -> StripsOnRolls.toBuy(any, layout, cloth, squaring))
                .reduce(Length.ZERO, Length::plus);
    }

    /** What leaves each roll, by its lot: what is cut from it and what squares its end. */
    public Map<String, Length> takenOfRolls() {
        Map<String, Length> taken = new LinkedHashMap<>();
        layout.bolts().stream()
                .filter(cloth -> !cloth.isOfAnyRoll())
                .forEach(cloth -> taken.put(cloth.lot(), cloth.length().plus(squaring)));
        return taken;
    }

    /** Which offcuts and precuts are cut into, and what each lot of them gives. */
    List<Offcuts.Use> uses() {
        Map<String, Long> counts = new LinkedHashMap<>();
        Map<String, Map<PieceKey, Long>> pieces = new LinkedHashMap<>();
        layout.cloths().stream().filter(cloth -> !cloth.isBolt()).forEach(cloth -> {
            counts.merge(cloth.lot(), 1L, Long::sum);
            Map<PieceKey, Long> given = pieces.computeIfAbsent(cloth.lot(), lot -> new LinkedHashMap<>());
            cloth.pieces().forEach(piece -> given.merge(piece.key(), piece.count(), Long::sum));
        });
        return counts.entrySet().stream()
                .map(entry -> new Offcuts.Use(entry.getKey(), entry.getValue(), pieces.get(entry.getKey())))
                .toList();
    }

    /** All rests, whatever their size. */
    List<Offcuts.Left> left() {
        Map<Extent, Long> left = new LinkedHashMap<>();
        layout.cloths().stream()
                .map(CutTree::of)
                .flatMap(CutTree::rests)
                .forEach(rest -> left.merge(rest.extent(), 1L, Long::sum));
        return left.entrySet().stream()
                .map(entry -> new Offcuts.Left(entry.getKey(), entry.getValue()))
                .toList();
    }
}
