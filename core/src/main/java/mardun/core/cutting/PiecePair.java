package mardun.core.cutting;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.nesting.Contour;
import mardun.core.nesting.HeadToTail;

/**
 * Two pieces of a kind head to tail in one block, which is cut out as a rectangle and then along the outlines.
 *
 * @param extent of the block: no smaller than both take, in whole sixteenths of an inch where the piece is in such, else in whole millimetres
 * @param contour of one piece, as large as it is cut
 * @param lies where they lie in it
 */
public record PiecePair(Extent extent, Contour contour, HeadToTail lies) {

    /** How far apart the two stay where they are pushed together, in millimetres. */
    private static final double GAP = 1;

    private static final long SIXTEENTH = 1_587_500;
    private static final long MILLIMETRE = 1_000_000;
    private static final int KNOWN = 400;

    private record Asked(CutShape shape, Extent extent) {}

    /** The same shapes are asked for with every plan of a batch, and looking for the nearest place takes milliseconds. */
    private static final Map<Asked, Optional<PiecePair>> BEFORE =
            Collections.synchronizedMap(new LinkedHashMap<>(KNOWN, 0.75F, true) {

                @Override
                protected boolean removeEldestEntry(Map.Entry<Asked, Optional<PiecePair>> eldest) {
                    return size() > KNOWN;
                }
            });

    /**
     * Two pieces of a shape.
     *
     * @param extent as large as one is cut
     * @return empty where they lie next to no closer so than side by side
     */
    static Optional<PiecePair> of(CutShape shape, Extent extent) {
        Asked asked = new Asked(shape, extent);
        Optional<PiecePair> known = BEFORE.get(asked);
        if (known == null) {
            known = found(shape, extent);
            BEFORE.put(asked, known);
        }
        return known;
    }

    private static Optional<PiecePair> found(CutShape shape, Extent extent) {
        boolean bySixteenths = isWhole(extent.width(), SIXTEENTH) && isWhole(extent.height(), SIXTEENTH);
        long step = bySixteenths ? SIXTEENTH : MILLIMETRE;
        Contour contour = shape.contour(extent);
        return HeadToTail.of(contour, GAP)
                .map(lies -> new PiecePair(new Extent(up(lies.width(), step), up(lies.height(), step)), contour, lies))
                .filter(pair -> pair.extent().area().compareTo(extent.area().times(2)) < 0);
    }

    private static boolean isWhole(Length length, long step) {
        return length.nanometres() % step == 0;
    }

    private static Length up(double millimetres, long step) {
        return new Length((long) Math.ceil(millimetres * MILLIMETRE / step - 1e-6) * step);
    }
}
