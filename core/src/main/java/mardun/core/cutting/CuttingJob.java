package mardun.core.cutting;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.core.material.ClothPiece;
import mardun.core.measure.Area;
import mardun.core.measure.Length;

/**
 * Pieces to be cut from one cloth.
 *
 * @param pieces at least one kind
 * @param bags which bags they are for, line by line; together they take just these pieces
 * @param chosen the lots of offcuts and precuts that the maker wants to be used first
 */
public record CuttingJob(
        List<CutPiece> pieces, ShelfCloth cloth, CuttingTerms terms, List<Bags> bags, Set<String> chosen) {

    /** A job for which nothing has to be used first. */
    public CuttingJob(List<CutPiece> pieces, ShelfCloth cloth, CuttingTerms terms, List<Bags> bags) {
        this(pieces, cloth, terms, bags, Set.of());
    }

    /** A job for so many bags of one line, each of which takes the same share of every kind. */
    public CuttingJob(List<CutPiece> pieces, ShelfCloth cloth, CuttingTerms terms, int bags) {
        this(pieces, cloth, terms, List.of(ofOneLine(pieces, bags)));
    }

    private static Bags ofOneLine(List<CutPiece> pieces, int bags) {
        return new Bags(
                1, bags, pieces.stream().collect(Collectors.toMap(CutPiece::key, piece -> piece.count() / bags)));
    }

    public CuttingJob {
        pieces = List.copyOf(pieces);
        bags = List.copyOf(bags);
        chosen = Set.copyOf(chosen);
        if (pieces.isEmpty()) {
            throw new IllegalArgumentException("there is nothing to cut");
        }
        if (bags.isEmpty()) {
            throw new IllegalArgumentException("pieces are for one bag or more");
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

    /** How many bags it is for. */
    public int units() {
        return Bags.together(bags);
    }

    /** The same for other bags of these lines, from another cloth. */
    public CuttingJob forBags(List<Bags> others, ShelfCloth from) {
        Map<PieceKey, Long> counts = Bags.pieces(others);
        return new CuttingJob(
                pieces.stream()
                        .filter(piece -> counts.containsKey(piece.key()))
                        .map(piece -> piece.times(counts.get(piece.key())))
                        .toList(),
                from,
                terms,
                others,
                chosen);
    }

    /** The same from another cloth. */
    public CuttingJob from(ShelfCloth other) {
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
