package mardun.core.cutting;

import mardun.core.measure.Extent;

/**
 * A kind of piece to be cut from a cloth.
 *
 * @param count how many, one or more
 * @param mayTurn it may lie across the grain: it has no top
 */
public record CutPiece(String letter, String name, Extent extent, long count, boolean mayTurn) {}
