package mardun.core.design;

import mardun.core.measure.Length;

/**
 * A shape of one size.
 *
 * @param across zero where its kind asks for nothing
 * @param along zero where its kind asks for nothing; of rounded corners the height of the curve
 */
public record SizedShape(Shape.Kind kind, Shape.Place place, Length across, Length along) {

    boolean isAt(boolean top) {
        return top ? place.isAtTop() : place.isAtBottom();
    }
}
