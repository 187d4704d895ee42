package mardun.core.design;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.working.Figure;

/**
 * A piece of one size with its cut size: outlines rounded up to the nanometre, interfacing down.
 *
 * @param count how many one bag takes, all layers counted
 * @param markedCorners where corners that are cut or sewn later are marked; empty if they are cut away or there are none
 * @param allowances of the edges that are stated: {@code top}, {@code right}, {@code bottom}, {@code left}
 * @param boxed what boxing takes of a bottom corner; empty for a piece that isn't boxed
 * @param trimTo what it is trimmed to, if it is cut over size
 */
public record SizedPiece(
        Piece piece,
        long count,
        Figure<Length> width,
        Figure<Length> height,
        List<SizedShape> shapes,
        Outline outline,
        Optional<Outline> markedCorners,
        Map<String, Length> allowances,
        Optional<Extent> trimTo,
        List<SizedMark> marks,
        Optional<BoxedCorner> boxed) {

    private static final double NM_PER_MM = 1e6;

    /**
     * What boxing takes of a corner.
     *
     * @param fromFold on each side of a fold, where one piece goes round the bag
     */
    public record BoxedCorner(Length fromSide, Length fromBase, Optional<Length> fromFold) {}

    public Extent extent() {
        return new Extent(width.value(), height.value());
    }

    /**
     * How long its outline is that isn't an edge of its rectangle: what is cut along a template; nothing for a plain rectangle. Of a
     * piece that is cut on the fold, opened.
     */
    public Length alongTemplate() {
        double millimetres = outline.insideRectangle(
                width.value().nanometres() / NM_PER_MM, height.value().nanometres() / NM_PER_MM);
        return new Length(Math.round(millimetres * NM_PER_MM));
    }

    /** The size with which it is sewn: as it was trimmed, or else as it was cut. */
    public Extent sewnExtent() {
        return trimTo.orElseGet(this::extent);
    }
}
