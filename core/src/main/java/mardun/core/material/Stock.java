package mardun.core.material;

/**
 * What is on the shelf of a material, as one batch sees it.
 *
 * @param onHand what is there; below zero if more was taken than had been entered
 * @param heldForOthers what other batches have reserved of it
 * @param worth what the next amounts cost
 */
public record Stock(Amount onHand, Amount heldForOthers, Worth worth) {

    /** A stock that nobody else has reserved anything of, at one price. */
    public static Stock of(Amount onHand, UnitPrice price) {
        return new Stock(onHand, Amount.none(onHand.counting()), Worth.of(price));
    }

    public Amount free() {
        return onHand.minus(heldForOthers);
    }
}
