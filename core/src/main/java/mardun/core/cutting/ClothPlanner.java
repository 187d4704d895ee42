package mardun.core.cutting;

import java.util.List;
import mardun.core.measure.Length;

/** Finds out how much of a cloth a list of pieces takes. */
public interface ClothPlanner {

    /**
     * The length of a cloth's rolls that the pieces take, each kind on the width that it may have.
     *
     * @throws CannotBeCutException if a piece is wider than the cloth
     */
    ClothNeed plan(ShelfCloth cloth, List<CutPiece> pieces);

    /**
     * The same on a cloth that may be cut up to its edges.
     *
     * @param usableWidth the cloth's width without its selvages
     */
    default ClothNeed plan(Length usableWidth, List<CutPiece> pieces) {
        return plan(ShelfCloth.endless(usableWidth, List.of()), pieces);
    }
}
