package mardun.core.cutting;

import java.util.List;

/**
 * A strip across the cloth: columns side by side, each a stack of pieces. All of it comes apart by edge-to-edge cuts: the
 * strip from the cloth, the columns from the strip, the pieces from their column, and what is left beside a piece.
 *
 * @param height of the strip, in steps of the grid
 * @param columns from the left
 * @param counts how many pieces of each kind it gives
 */
record StripPattern(int height, List<Column> columns, int[] counts) {

    /**
     * A stack of pieces in a strip.
     *
     * @param width of its widest piece
     * @param items the pieces from below, each as its kind or as its kind turned
     */
    record Column(int width, int[] items) {}
}
