package mardun.core.material;

import mardun.core.working.Figure;
import mardun.core.working.Working;

/** How much of a material to buy, so that the planned batches can be made and the shelf doesn't run low after them. */
public final class Restock {

    private Restock() {}

    /**
     * What is missing.
     *
     * @param needed what the planned batches still take; zero or more
     * @param keep what should be left on the shelf after them; zero or more
     * @param onHand what is there; below zero if more was taken than had been entered
     * @return nothing if there is enough
     */
    public static Figure<Amount> toBuy(Amount needed, Amount keep, Amount onHand) {
        Amount missing = needed.plus(keep).minus(onHand);
        Amount toBuy = missing.isPositive() ? missing : Amount.none(missing.counting());
        return new Figure<>(
                toBuy,
                Working.of("Buy what the planned batches take and what should stay on the shelf, less what is there.")
                        .expression("{needed} + {keep} − {onHand}")
                        .input("needed", "needed for batches", needed.shown())
                        .input("keep", "to stay on the shelf", keep.shown())
                        .input("onHand", "on the shelf", onHand.shown())
                        .gives(toBuy.shown()));
    }
}
