package mardun.core.material;

import java.util.List;

/** The rules of the stock ledger: physical movements whose sum is on hand. */
public final class Ledger {

    private Ledger() {}

    /**
     * A movement on the shelf.
     *
     * @param change what came (positive) or left (negative)
     * @param reason why, where the kind or a shelf below zero asks for it; else empty
     */
    public record Movement(MovementKind kind, Amount change, String reason) {}

    /** A movement that the ledger doesn't take. */
    public static final class RefusedException extends RuntimeException {

        private final Refusal refusal;

        private RefusedException(Refusal refusal) {
            super(refusal.name());
            this.refusal = refusal;
        }

        public Refusal refusal() {
            return refusal;
        }
    }

    /** Why a movement isn't taken. */
    public enum Refusal {
        NOTHING_MOVED,
        WRONG_DIRECTION,
        REASON_MISSING,
        BELOW_ZERO
    }

    /** What is on hand after all movements. */
    public static Amount onHand(Counting counting, List<Movement> movements) {
        return movements.stream().map(Movement::change).reduce(Amount.none(counting), Amount::plus);
    }

    /**
     * What is on hand after one more movement.
     *
     * @throws RefusedException if it moves nothing, goes the wrong way for its kind, lacks a reason that its kind asks
     *     for, or takes the shelf below zero without a reason
     */
    public static Amount after(Amount onHand, Movement movement) {
        Amount change = movement.change();
        boolean reasoned = !movement.reason().isBlank();
        if (change.value() == 0) {
            throw new RefusedException(Refusal.NOTHING_MOVED);
        }
        boolean wrongWay = switch (movement.kind().direction()) {
            case IN -> change.isNegative();
            case OUT -> change.isPositive();
            case EITHER -> false;
        };
        if (wrongWay) {
            throw new RefusedException(Refusal.WRONG_DIRECTION);
        }
        if (movement.kind().needsReason() && !reasoned) {
            throw new RefusedException(Refusal.REASON_MISSING);
        }
        Amount after = onHand.plus(change);
        if (after.isNegative() && change.isNegative() && !reasoned) {
            throw new RefusedException(Refusal.BELOW_ZERO);
        }
        return after;
    }
}
