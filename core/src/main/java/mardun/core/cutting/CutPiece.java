package mardun.core.cutting;

import java.util.Optional;
import mardun.core.measure.Area;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;

/**
 * A kind of piece to be cut from a cloth.
 *
 * @param key what it is known by; pieces of several lines that are alike are one kind, known by the first of them
 * @param count how many, one or more
 * @param mayTurn it may lie across the grain: it has no top
 * @param meetsPrint all of them begin at the same height of the print, where the cloth has one that comes again
 * @param alongTemplate how much of the outline of one is cut along a template, once its rectangle is cut; nothing for a plain rectangle;
 *     as the design draws it, also where the cloth shrinks afterwards and the rectangle is larger
 * @param shape its true shape; empty for a plain rectangle
 * @param shows where it lies so that it shows its part of the print; empty where it needn't
 */
public record CutPiece(
        PieceKey key,
        String name,
        Extent extent,
        long count,
        boolean mayTurn,
        boolean meetsPrint,
        Length alongTemplate,
        Optional<CutShape> shape,
        Optional<PrintPlace> shows) {

    /** A piece that shows a part of the print meets the print. */
    public CutPiece {
        meetsPrint = meetsPrint || shows.isPresent();
    }

    /** A piece that needn't show any part of the print. */
    public CutPiece(
            PieceKey key,
            String name,
            Extent extent,
            long count,
            boolean mayTurn,
            boolean meetsPrint,
            Length alongTemplate,
            Optional<CutShape> shape) {
        this(key, name, extent, count, mayTurn, meetsPrint, alongTemplate, shape, Optional.empty());
    }

    /** A piece that lies by itself. */
    public CutPiece(
            PieceKey key,
            String name,
            Extent extent,
            long count,
            boolean mayTurn,
            boolean meetsPrint,
            Length alongTemplate) {
        this(key, name, extent, count, mayTurn, meetsPrint, alongTemplate, Optional.empty());
    }

    /** A plain rectangle. */
    public CutPiece(PieceKey key, String name, Extent extent, long count, boolean mayTurn, boolean meetsPrint) {
        this(key, name, extent, count, mayTurn, meetsPrint, Length.ZERO);
    }

    /** A piece that may begin anywhere. */
    public CutPiece(PieceKey key, String name, Extent extent, long count, boolean mayTurn) {
        this(key, name, extent, count, mayTurn, false);
    }

    /** Two of them head to tail; empty where they lie no closer so than side by side, or may not lie so. */
    public Optional<PiecePair> pair() {
        return shape.filter(its -> mayTurn && !meetsPrint).flatMap(its -> PiecePair.of(its, extent));
    }

    /** The area of all of them. */
    Area area() {
        return extent.area().times(count);
    }

    /** The same kind of piece, so many of them. */
    public CutPiece times(long other) {
        return new CutPiece(key, name, extent, other, mayTurn, meetsPrint, alongTemplate, shape, shows);
    }

    /** The same kind of piece, which may lie across the grain too, if {@code may}. */
    public CutPiece turning(boolean may) {
        return new CutPiece(key, name, extent, count, mayTurn || may, meetsPrint, alongTemplate, shape, shows);
    }

    /** The same kind of piece with its sides changed over. */
    CutPiece lying() {
        return new CutPiece(key, name, extent.turned(), count, mayTurn, meetsPrint, alongTemplate);
    }
}
