package mardun.core.design;

import java.util.Optional;

/**
 * Something cut from cloth.
 *
 * @param letter its mark on the cut list and in drawings
 * @param slot which of the design's cloths it is cut from
 * @param perUnit how many one bag takes
 * @param width formula of the width, across the cloth
 * @param height formula of the height, along the cloth
 * @param directional it has a top, so it may not be turned on the cloth
 * @param boxed its bottom corners are boxed
 * @param backs the letter of the piece that this interfacing backs
 */
public record Piece(
        String letter,
        String name,
        Role role,
        String slot,
        int perUnit,
        String width,
        String height,
        boolean directional,
        boolean boxed,
        Optional<String> backs) {}
