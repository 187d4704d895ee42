package mardun.core.batch;

import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.Offcuts;
import mardun.core.material.Amount;
import mardun.core.measure.Extent;

/** What can be made from what is in the hand: this zip, this precut, what is left on this bolt. */
public final class FromHand {

    private FromHand() {}

    /** A batch as large as what is in the hand allows. */
    public record Makeable(int units, BatchPlan plan) {}

    /**
     * The largest batch that takes no more of a material than there is.
     *
     * @param planned the plan for so many units
     * @param key of the material in the hand
     * @param there how much of it is in the hand
     * @param most no batch is larger
     * @return empty if not even one unit can be made, or it doesn't take this material
     */
    public static Optional<Makeable> most(IntFunction<BatchPlan> planned, String key, Amount there, int most) {
        int units = LargestThatFits.upTo(most, count -> fits(planned.apply(count), key, there));
        return units == 0 ? Optional.empty() : Optional.of(new Makeable(units, planned.apply(units)));
    }

    private static boolean fits(BatchPlan plan, String key, Amount there) {
        List<Need> needs = plan.needs().stream()
                .filter(need -> need.supply().key().equals(key))
                .toList();
        return !needs.isEmpty() && needs.stream().allMatch(need -> need.amount().compareTo(there) <= 0);
    }

    /**
     * How many units a number of equal pieces of cloth give.
     *
     * @param unit the plan for one unit
     * @param cloth what the piece is of, and the slot that it fills
     * @param piece the size of the offcut or precut
     * @param count how many there are
     */
    public static int units(BatchPlan unit, Supply cloth, Extent piece, long count) {
        List<CutPiece> pieces = ClothNeeds.cutPieces(
                cloth,
                unit.piecesFrom(cloth).stream()
                        .filter(line -> line.piece().piece().slot().equals(cloth.slot()))
                        .toList());
        return pieces.isEmpty() ? 0 : Math.toIntExact(Math.multiplyExact(count, (long) Offcuts.units(piece, pieces)));
    }
}
