package mardun.app.material;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;

/**
 * Where one repeat of a print is on a photo, as shares of the photo's width and height from its upper left corner; each from 0 to 1.
 */
public record Frame(
        @DecimalMin("0") @DecimalMax("1") double left,
        @DecimalMin("0") @DecimalMax("1") double top,
        @DecimalMin("0") @DecimalMax("1") double right,
        @DecimalMin("0") @DecimalMax("1") double bottom) {

    /** The photo shows one repeat from edge to edge. */
    static final Frame WHOLE = new Frame(0, 0, 1, 1);

    /** A smaller part of a photo can't be pointed into. */
    private static final double SMALLEST = 0.02;

    /** Whether anything lies within it. */
    boolean isLargeEnough() {
        return right - left >= SMALLEST && bottom - top >= SMALLEST;
    }
}
