package mardun.core.design;

import java.util.Optional;
import mardun.core.measure.Length;

/**
 * A mark of one size; positions are from the left and the top raw edge, wherever it is measured from, to the nearest nanometre.
 *
 * @param across from the left raw edge; empty where the mark goes all the way across; never of a part of the print
 * @param down from the top raw edge; empty where the mark goes all the way down; never of a part of the print
 */
public record SizedMark(Mark mark, Optional<Length> across, Optional<Length> down, Length width, Length height) {}
