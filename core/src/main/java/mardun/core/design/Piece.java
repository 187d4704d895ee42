package mardun.core.design;

import java.util.List;
import java.util.Optional;

/**
 * Something cut from cloth.
 *
 * @param letter its mark on the cut list and in drawings, unique among pieces, panels and trims
 * @param slot which of the design's cloths it is cut from
 * @param quantity formula: how many one bag takes
 * @param layers how many layers of each are cut
 * @param width formula of the width, across the cloth
 * @param height formula of the height, along the cloth
 * @param directional it has a top, so it may not be turned on the cloth
 * @param meetsPrint all of its kind begin at the same height of the print, where the cloth has one that comes again
 * @param shapes what is cut away from its rectangle; none for a plain one
 * @param overSelvage the woven edge of the cloth may lie inside it
 * @param boxed its bottom corners are boxed
 * @param backs the letter of the piece that this interfacing backs
 * @param trimTo what an over-size piece is trimmed to after it was quilted or fused
 */
public record Piece(
        String letter,
        String name,
        Role role,
        String slot,
        String quantity,
        int layers,
        String width,
        String height,
        List<Shape> shapes,
        Edges edges,
        boolean directional,
        boolean meetsPrint,
        boolean overSelvage,
        ClothFold fold,
        boolean boxed,
        Optional<String> backs,
        Optional<TrimTo> trimTo,
        List<Mark> marks) {

    /** Formulas of the size that a piece or a panel is trimmed to. */
    public record TrimTo(String width, String height) {}

    public Piece {
        shapes = shapes.stream()
                .filter(shape -> shape.kind() != Shape.Kind.RECTANGLE)
                .toList();
        marks = List.copyOf(marks);
    }

    /** What is cut out of its bottom corners by itself, whatever the form of the bag asks for. */
    Optional<Shape> ownCorners() {
        return shapes.stream()
                .filter(shape ->
                        shape.kind() == Shape.Kind.CORNERS_CUT && shape.place().isAtBottom())
                .findFirst();
    }

    /** Whether it is a rectangle with nothing to be cut away from it or marked on it, which a ruler draws as well as a template. */
    public boolean isPlain() {
        return shapes.isEmpty() && !boxed && marks.isEmpty();
    }

    /** The same piece, cut to other formulas. */
    public Piece cut(String newWidth, String newHeight) {
        return new Piece(
                letter,
                name,
                role,
                slot,
                quantity,
                layers,
                newWidth,
                newHeight,
                shapes,
                edges,
                directional,
                meetsPrint,
                overSelvage,
                fold,
                boxed,
                backs,
                trimTo,
                marks);
    }

    /** A plain rectangle. */
    public static Piece of(
            String letter, String name, Role role, String slot, String quantity, String width, String height) {
        return new Piece(
                letter,
                name,
                role,
                slot,
                quantity,
                1,
                width,
                height,
                List.of(),
                Edges.UNSTATED,
                false,
                false,
                false,
                ClothFold.NONE,
                false,
                Optional.empty(),
                Optional.empty(),
                List.of());
    }
}
