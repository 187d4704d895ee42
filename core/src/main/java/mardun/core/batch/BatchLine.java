package mardun.core.batch;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import mardun.core.design.Design;
import mardun.core.design.MaterialSlot;
import mardun.core.design.SizedDesign;
import mardun.core.design.Sizing;
import mardun.core.material.ClothKind;
import mardun.core.measure.Length;
import org.joda.money.Money;

/**
 * So many bags of one size of one design in one choice of materials: a line of a batch.
 *
 * @param number what it is known by in its batch, from 1 on
 * @param size the index of the size
 * @param units how many are made, spoiled ones among them; none only where cut pieces of the line went elsewhere
 * @param good how many came out well, once that is known: they carry the cost of all; where none did, nothing is priced
 * @param supplies what fills the design's slots; a slot that nothing fills becomes a finding
 * @param ownPrice the price at the stall, if the maker has set one
 * @param moved cut pieces that came to it or went from it
 */
public record BatchLine(
        int number,
        Design design,
        int size,
        int units,
        OptionalInt good,
        List<Supply> supplies,
        Optional<Money> ownPrice,
        PiecesMoved moved) {

    public BatchLine {
        supplies = List.copyOf(supplies);
        if (units < 0 || units == 0 && moved.equals(PiecesMoved.NONE)) {
            throw new IllegalArgumentException("a line has one unit or more: " + units);
        }
    }

    /** The only line of a batch of which nothing is finished yet. */
    public static BatchLine only(Design design, int size, int units, List<Supply> supplies, Optional<Money> ownPrice) {
        return new BatchLine(1, design, size, units, OptionalInt.empty(), supplies, ownPrice, PiecesMoved.NONE);
    }

    /** The same for another number of bags, of which none is finished yet. */
    public BatchLine withUnits(int other) {
        return new BatchLine(number, design, size, other, OptionalInt.empty(), supplies, ownPrice, moved.atMost(other));
    }

    /** The same with cut pieces that came to it or went from it. */
    public BatchLine with(PiecesMoved itsPieces) {
        return new BatchLine(number, design, size, units, good, supplies, ownPrice, itsPieces);
    }

    /** What fills a slot. */
    Optional<Supply> supply(String slot) {
        return supplies.stream().filter(supply -> supply.slot().equals(slot)).findFirst();
    }

    /** What the design calls a slot. */
    String label(String slot) {
        return design.slots().stream()
                .filter(one -> one.key().equals(slot))
                .findFirst()
                .map(MaterialSlot::label)
                .orElse(slot);
    }

    /** Where something of this line is found wrong: {@code lines.2.slots.outer}. */
    String place(String what) {
        return "lines." + number + "." + what;
    }

    /** The size in the cloths that it is really made of. */
    SizedDesign sized(Length thickestSeam) {
        return Sizing.of(design.with(cloths()), size, thickestSeam);
    }

    /** What kind of cloth fills each slot. */
    Map<String, ClothKind> cloths() {
        Map<String, ClothKind> cloths = new LinkedHashMap<>();
        supplies.forEach(supply -> supply.cloth().ifPresent(cloth -> cloths.put(supply.slot(), cloth)));
        return cloths;
    }
}
