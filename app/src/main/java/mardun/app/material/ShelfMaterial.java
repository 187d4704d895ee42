package mardun.app.material;

import mardun.app.id.MaterialId;
import mardun.core.design.SlotFit;
import mardun.core.material.Amount;
import mardun.core.material.MaterialKind;

/**
 * A material as other areas reckon with it, in amounts and not in words.
 *
 * @param candidate it as something that might fill a slot of a design
 * @param place where it usually lies; empty where that isn't said
 * @param putAway it is kept with its history and offered nowhere
 * @param twoPart each of it is two halves that are kept apart
 * @param keep what the maker always wants to have of it; nothing where she didn't say, or where it is put away
 * @param target what it is filled up to when it is bought; nothing likewise
 * @param onHand what is there; of a two-part notion, whole sets
 * @param free what nobody has reserved
 */
public record ShelfMaterial(
        MaterialId id,
        String name,
        MaterialKind kind,
        String colour,
        SlotFit.Candidate candidate,
        String place,
        boolean putAway,
        boolean twoPart,
        Amount keep,
        Amount target,
        Amount onHand,
        Amount free) {}
