package mardun.core.cutting;

import java.util.Optional;
import mardun.core.measure.Length;

/**
 * Where a piece has to lie to show a part of the print.
 *
 * @param motif what that part is called
 * @param across from the cloth's left edge to the left side of such a piece, or so much less or more as the print takes to come again
 *     across; empty where it may lie anywhere across
 * @param along likewise from the squared end to where it begins, which is its top
 * @param fromLeft how far right of the piece's left side the middle of that part lies
 * @param fromTop how far below its top
 */
public record PrintPlace(String motif, Optional<Length> across, Length along, Length fromLeft, Length fromTop) {}
