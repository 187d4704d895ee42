package mardun.core.design;

/**
 * An edge across a piece that is gathered, on elastic or to the width of what it is sewn to; as letters and formulas, what
 * doesn't apply stays empty.
 *
 * @param of the letter of the piece or the panel whose width is gathered
 * @param elastic the letter of the elastic that draws it
 * @param onto the letter of the piece or the panel that it is sewn to
 * @param seam what is caught at each end
 */
public record Gather(String of, String elastic, String onto, String seam) {}
