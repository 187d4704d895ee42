package mardun.app.material;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.Optional;
import mardun.core.material.Amount;
import mardun.core.material.MovementKind;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import org.jspecify.annotations.Nullable;

/**
 * Something that comes to the shelf and becomes a lot.
 *
 * @param amount how much; of offcuts and precuts, and of two-part notions, how many pieces or sets
 * @param paidMinor what was paid, with the share of postage and duty; empty for what it would have cost
 * @param extraMinor the share of postage and duty in it
 * @param soldAs as the shop sells it, such as {@code 3 × 1/2 yd}; may be empty
 * @param measuredWidth the usable width as it was measured, for cloth
 * @param pieceSize of offcuts and precuts
 * @param kept where an offcut was left from
 * @param cameAt when it came, if that is past; empty for now
 */
public record Arrival(
        MovementKind kind,
        Amount amount,
        Optional<Long> paidMinor,
        long extraMinor,
        String cameFrom,
        @Nullable Long deliveryId,
        String soldAs,
        String dyeLot,
        String place,
        Optional<Length> measuredWidth,
        Optional<Extent> pieceSize,
        Optional<KeptOf> kept,
        String reason,
        Optional<Instant> cameAt) {

    /**
     * The movement that an offcut was left from.
     *
     * @param share of that cloth's area, all pieces together, from 0 to 1
     */
    public record KeptOf(long movementId, BigDecimal share) {}

    /** Something that nobody said more about. */
    static Arrival of(MovementKind kind, Amount amount, String reason) {
        return new Arrival(
                kind,
                amount,
                Optional.empty(),
                0,
                "",
                null,
                "",
                "",
                "",
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                reason,
                Optional.empty());
    }
}
