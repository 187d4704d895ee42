package mardun.core.design;

import mardun.core.construction.BaseEdge;
import mardun.core.construction.BoxingSchool;

/**
 * How a boxed bag is put together, as formulas over the design's measurements: from it and the panels' cut sizes
 * follows what the bag measures when it is finished.
 *
 * @param outer the letter of the outer panel
 * @param lining the letter of the lining panel
 * @param base a seam, or a fold that takes no allowance
 * @param depth the finished depth that is wanted
 * @param baseSeam allowance at the base; not used at a fold
 * @param boxingSeam allowance of the seam across the corner
 * @param zipShows what shows of the zip that closes the top
 */
public record BoxedBag(
        BoxingSchool school,
        BaseEdge base,
        String outer,
        String lining,
        String depth,
        String sideSeam,
        String topSeam,
        String baseSeam,
        String boxingSeam,
        String zipShows) {}
