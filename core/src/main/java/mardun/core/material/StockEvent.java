package mardun.core.material;

import org.apache.commons.numbers.fraction.BigFraction;

/**
 * Something that changed what lies on the shelf of a material, or what it is worth. What is alike and valued together is
 * one pile: all that is left on the bolts of a cloth, the sockets of a snap, the offcuts of one size.
 */
public sealed interface StockEvent {

    String pile();

    /**
     * What it costs to buy again changed.
     *
     * @param perUnit minor units for one of the smallest units that the pile is counted in
     */
    record Repriced(String pile, BigFraction perUnit) implements StockEvent {}

    /**
     * Something came.
     *
     * @param quantity in the smallest units; positive
     * @param paidMinor what was paid, postage and duty included; for what was given or found, what it would have cost
     * @param given it was given
     */
    record Came(String pile, long quantity, long paidMinor, boolean given) implements StockEvent {}

    /**
     * Something left.
     *
     * @param id names the movement
     * @param quantity in the smallest units; positive
     */
    record Left(String id, String pile, long quantity) implements StockEvent {}

    /**
     * A piece of what had left came back to be kept.
     *
     * @param quantity pieces; positive
     * @param from the movement with which the cloth left
     * @param share of that cloth's area, all pieces together, from 0 to 1
     */
    record Kept(String pile, long quantity, String from, BigFraction share) implements StockEvent {}
}
