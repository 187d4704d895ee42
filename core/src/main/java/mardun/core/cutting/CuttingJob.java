package mardun.core.cutting;

import java.util.List;
import java.util.Set;
import mardun.core.material.ClothPiece;
import mardun.core.measure.Area;
import mardun.core.measure.Length;

/**
 * Pieces to be cut from one cloth.
 *
 * @param pieces at least one kind
 * @param bags how many bags they are for, one or more; each takes the same share of every kind
 * @param chosen the lots of offcuts and precuts that the maker wants to be used first
 */
public record CuttingJob(List<CutPiece> pieces, ShelfCloth cloth, CuttingTerms terms, int bags, Set<String> chosen) {

    /** A job for which nothing has to be used first. */
    public CuttingJob(List<CutPiece> pieces, ShelfCloth cloth, CuttingTerms terms, int bags) {
        this(pieces, cloth, terms, bags, Set.of());
    }

    public CuttingJob {
        pieces = List.copyOf(pieces);
        chosen = Set.copyOf(chosen);
        if (pieces.isEmpty()) {
            throw new IllegalArgumentException("there is nothing to cut");
        }
        if (bags < 1) {
            throw new IllegalArgumentException("pieces are for one bag or more: " + bags);
        }
    }

    /** Pieces from a cloth of which any length can be had. */
    public CuttingJob(List<CutPiece> pieces, Length width, List<ClothPiece> sheets, CuttingTerms terms) {
        this(pieces, ShelfCloth.endless(width, sheets), terms, 1);
    }

    /** Width of the bolt, with the selvages if any piece may have them inside. */
    public Length width() {
        return cloth.width();
    }

    /** The offcuts and precuts that may be cut into. */
    public List<ClothPiece> sheets() {
        return cloth.sheets();
    }

    /** The same for so many bags, from another cloth. */
    CuttingJob forBags(int other, ShelfCloth from) {
        return new CuttingJob(
                pieces.stream()
                        .map(piece -> piece.times(piece.count() / bags * other))
                        .toList(),
                from,
                terms,
                other,
                chosen);
    }

    /** The same from another cloth. */
    CuttingJob from(ShelfCloth other) {
        return new CuttingJob(pieces, other, terms, bags, chosen);
    }

    /** What the pieces cover of the offcuts and precuts that the maker wants to be used first. */
    Area onChosen(CuttingLayout layout) {
        return layout.cloths().stream()
                .filter(cloth -> !cloth.isBolt() && chosen.contains(cloth.lot()))
                .flatMap(cloth -> cloth.pieces().stream())
                .map(ClothLayout.Placed::area)
                .reduce(Area.ZERO, Area::plus);
    }

    /** The area of all pieces. */
    Area area() {
        return pieces.stream().map(CutPiece::area).reduce(Area.ZERO, Area::plus);
    }
}
