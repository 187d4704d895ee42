package mardun.core.cutting;

import java.util.List;
import mardun.core.material.ClothPiece;
import mardun.core.measure.Area;
import mardun.core.measure.Length;

/**
 * Pieces to be cut from one cloth.
 *
 * @param pieces at least one kind
 * @param width usable width of the bolt
 * @param sheets the offcuts and precuts that may be cut into; each is paid whole
 */
public record CuttingJob(List<CutPiece> pieces, Length width, List<ClothPiece> sheets, CuttingTerms terms) {

    public CuttingJob {
        pieces = List.copyOf(pieces);
        sheets = List.copyOf(sheets);
        if (pieces.isEmpty()) {
            throw new IllegalArgumentException("there is nothing to cut");
        }
    }

    /** The area of all pieces. */
    Area area() {
        return pieces.stream().map(CutPiece::area).reduce(Area.ZERO, Area::plus);
    }
}
