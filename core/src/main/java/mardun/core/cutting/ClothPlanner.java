package mardun.core.cutting;

import java.util.List;
import mardun.core.measure.Length;

/** Finds out how much of a cloth a list of pieces takes. */
public interface ClothPlanner {

    /**
     * The length of cloth that the pieces take.
     *
     * @param usableWidth the cloth's width without its selvages
     * @throws CannotBeCutException if a piece is wider than the cloth
     */
    ClothNeed plan(Length usableWidth, List<CutPiece> pieces);
}
