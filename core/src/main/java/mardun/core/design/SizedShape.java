package mardun.core.design;

import java.util.Optional;
import mardun.core.measure.Length;

/**
 * A shape of one size.
 *
 * @param across zero where its kind asks for nothing
 * @param along zero where its kind asks for nothing; of rounded corners the height of the curve; of an outline drawn by hand how much
 *     is let in across it
 * @param drawn of an outline drawn by hand
 */
public record SizedShape(
        Shape.Kind kind, Shape.Place place, Length across, Length along, Optional<SizedDrawing> drawn) {

    /** Where it is cut, of an outline that is drawn by hand and can be. */
    Optional<Outline> outline() {
        return drawn.flatMap(SizedDrawing::outline);
    }

    boolean isAt(boolean top) {
        return top ? place.isAtTop() : place.isAtBottom();
    }
}
