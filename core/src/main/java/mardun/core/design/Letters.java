package mardun.core.design;

import java.util.LinkedHashSet;
import java.util.Set;
import java.util.stream.Stream;
import mardun.core.material.ClothKind;

/** What a letter in a step stands for: a piece or a trim, or a panel with all that it is made of. */
public record Letters(Design design, SizedDesign sized) {

    /** A letter itself, and of a panel all that it is made of. */
    public Set<String> parts(String letter) {
        Set<String> parts = new LinkedHashSet<>(Set.of(letter));
        design.panels().stream()
                .filter(panel -> panel.letter().equals(letter))
                .flatMap(panel -> panel.parts().stream())
                .filter(part -> !part.letter().equals(letter))
                .forEach(part -> parts.addAll(part.isZip() ? Set.of(part.letter()) : parts(part.letter())));
        return parts;
    }

    /** The cloths of a letter; a piece that a size takes none of is none. */
    Stream<ClothKind> cloths(String letter) {
        Set<String> parts = parts(letter);
        return sized.pieces().stream()
                .map(SizedPiece::piece)
                .filter(piece -> parts.contains(piece.letter()))
                .flatMap(piece -> design.clothOf(piece.slot()).stream());
    }
}
