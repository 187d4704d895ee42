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
     * @param point what should at least be left on the shelf after them; zero or more
     * @param target what the shelf is filled up to once less than the point would be left; at least the point
     * @param onHand what is there; below zero if more was taken than had been entered
     * @return nothing if there is enough
     */
    public static Figure<Amount> toBuy(Amount needed, Amount point, Amount target, Amount onHand) {
        Amount left = onHand.minus(needed);
        boolean low = left.compareTo(point) < 0;
        Amount upTo = target.compareTo(point) > 0 ? target : point;
        Amount toBuy = low ? upTo.minus(left) : Amount.none(left.counting());
        Working.Builder told = Working.of(
                upTo.equals(point)
                        ? "Buy what the planned batches take and what should stay on the shelf, less what is there."
                        : "Less than the reorder point would be left after the planned batches, so fill the shelf up to its"
                                + " target.");
        return new Figure<>(
                toBuy,
                told.expression("{needed} + {keep} − {onHand}")
                        .input("needed", "needed for batches", needed.shown())
                        .input("keep", upTo.equals(point) ? "to stay on the shelf" : "target", upTo.shown())
                        .input("onHand", "on the shelf", onHand.shown())
                        .gives(toBuy.shown()));
    }
}
