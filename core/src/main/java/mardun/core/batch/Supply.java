package mardun.core.batch;

import java.util.Optional;
import mardun.core.material.Amount;
import mardun.core.material.ClothKind;
import mardun.core.material.MaterialKind;
import mardun.core.material.UnitPrice;
import mardun.core.measure.Length;

/**
 * A material from the shelf that fills one of a design's slots.
 *
 * @param key the caller's name for the material; two slots may be filled from the same one
 * @param usableWidth of a cloth; empty for anything else
 * @param cloth what kind of cloth it is, where the maker said so
 * @param directional it has a print or nap with a top, so no piece may be turned on it
 * @param onHand what is on the shelf now
 */
public record Supply(
        String slot,
        String key,
        String name,
        MaterialKind kind,
        Optional<Length> usableWidth,
        Optional<ClothKind> cloth,
        boolean directional,
        UnitPrice price,
        Amount onHand) {}
