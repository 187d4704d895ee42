package mardun.core.material;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Who gets what is on the shelf of one material when several batches want it: what is reserved first, then by turn. */
public final class Claims {

    private Claims() {}

    /**
     * What one batch wants of a material.
     *
     * @param batch names it
     * @param wanted all that it takes; zero or more
     * @param reserved what is held for it already, at most what it takes
     */
    public record Claim(String batch, Amount wanted, Amount reserved) {}

    /**
     * What a batch gets.
     *
     * @param shortBy what is missing to it; zero or more
     */
    public record Share(String batch, Amount gets, Amount shortBy) {}

    /**
     * The shares of all batches.
     *
     * @param claims in the order in which the batches are due
     * @param onHand what is there; below zero counts as nothing
     */
    public static List<Share> shares(List<Claim> claims, Amount onHand) {
        Amount none = Amount.none(onHand.counting());
        Map<Claim, Amount> gets = new LinkedHashMap<>();
        Amount left = onHand.isNegative() ? none : onHand;
        for (Claim claim : claims) {
            Amount held = least(least(claim.reserved(), claim.wanted()), left);
            gets.put(claim, held);
            left = left.minus(held);
        }
        List<Share> shares = new ArrayList<>();
        for (Claim claim : claims) {
            Amount more = least(claim.wanted().minus(gets.get(claim)), left);
            left = left.minus(more);
            Amount together = gets.get(claim).plus(more);
            shares.add(new Share(claim.batch(), together, claim.wanted().minus(together)));
        }
        return List.copyOf(shares);
    }

    private static Amount least(Amount one, Amount other) {
        return one.compareTo(other) <= 0 ? one : other;
    }
}
