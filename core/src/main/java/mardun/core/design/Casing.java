package mardun.core.design;

/**
 * A channel for a cord, as formulas.
 *
 * @param height of the channel between its stitch lines
 * @param round a round cord; else ribbon
 * @param thickness diameter of the cord or width of the ribbon
 * @param gap height of the gap in the side seam
 * @param gapFrom where the gap begins, from the raw edge
 * @param header above the casing
 * @param top top seam
 */
public record Casing(
        String name,
        String height,
        boolean round,
        String thickness,
        String ease,
        String gap,
        String gapFrom,
        String header,
        String top) {}
