package mardun.core.material;

import java.util.Optional;
import mardun.core.measure.Length;

/**
 * A part of a cloth's print that a piece may have to show, by where its middle lies, the print upright.
 *
 * @param name what the maker calls it; unique on a cloth, whatever its capitals
 * @param across from the left edge of the usable width to its first middle; empty for what is the same all across, such as a stripe
 * @param down from the top of a repeat, along the cloth; less than a repeat
 */
public record PrintMotif(String name, Optional<Length> across, Length down) {}
