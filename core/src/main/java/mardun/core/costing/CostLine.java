package mardun.core.costing;

import java.util.Optional;
import mardun.core.material.Amount;
import mardun.core.material.Worth;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * What a batch takes of one material, what that is worth, and what of it one line of the batch bears.
 *
 * @param amount for the whole batch
 * @param offcuts what the offcuts and precuts are worth that are used beside the amount, less what goes back, in exact minor units
 * @param whole what the batch's cost is, in exact minor units
 * @param borne what the line bears of it
 * @param cutPieces of cut pieces that came or went, in a sentence; empty for a material that is taken
 */
public record CostLine(
        String slot,
        String name,
        Amount amount,
        Worth worth,
        BigFraction offcuts,
        BigFraction whole,
        BigFraction borne,
        Optional<String> cutPieces) {

    /**
     * Cut pieces that came to a line, or went from it.
     *
     * @param came for how many bags they came; 0 where they only went
     * @param minor what they cost, below zero for those that went
     */
    public static CostLine ofCutPieces(String slot, String name, Worth worth, int came, long minor) {
        BigFraction cost = BigFraction.of(minor);
        return new CostLine(
                slot + " cut",
                name + (minor < 0 ? ", cut pieces that went" : came > 0 ? ", cut pieces" : ", cut once more"),
                Amount.none(worth.beyond().per().counting()),
                worth,
                BigFraction.ZERO,
                cost,
                cost,
                Optional.of(
                        minor < 0
                                ? "Pieces that aren't sewn here take along what their cloth cost."
                                : came > 0
                                        ? "Pieces that were cut before, or once more, cost what their cloth cost."
                                        : "Pieces that were cut once more cost what their cloth cost, less the rests that were kept."));
    }

    /** Other lines of the batch bear some of it. */
    boolean isShared() {
        return !borne.equals(whole);
    }

    /** The part that the line bears. */
    BigFraction share() {
        return whole.signum() == 0 ? BigFraction.ZERO : borne.divide(whole);
    }
}
