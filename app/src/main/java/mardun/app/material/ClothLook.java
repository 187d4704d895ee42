package mardun.app.material;

/**
 * What a material looks like from afar.
 *
 * @param repeatMm after how many millimetres its print comes again; 0 where nobody said
 */
public record ClothLook(String colour, Print print, double repeatMm) {}
