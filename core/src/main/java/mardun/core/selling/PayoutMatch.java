package mardun.core.selling;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mardun.core.pricing.Terms.PossibleFees;
import org.joda.money.Money;

/**
 * A payout of an online shop held against its orders, to the cent: each line against what the buyer paid and what the shop may take of it, and
 * the sum against its lines. What doesn't match is named; nothing is evened out.
 *
 * @param difference by how much the payout is more than its own lines, or less where it is below zero
 */
public record PayoutMatch(List<Matched> lines, Money difference) {

    /**
     * A line of a payout.
     *
     * @param paid what the buyer paid; below zero where it was paid back
     * @param fee what the shop took; below zero where it gave some back
     */
    public record PaidLine(String order, Money paid, Money fee) {}

    /**
     * What is known of an order.
     *
     * @param paid what the buyer paid for it
     * @param fees what the shop may take of it
     * @param isPaidOut whether an earlier payout had it
     * @param isCancelled nothing is due for it
     */
    public record Expected(Money paid, List<PossibleFees> fees, boolean isPaidOut, boolean isCancelled) {}

    /** How a line compares with its order. */
    public enum Finding {
        MATCHES,
        NO_SUCH_ORDER,
        PAID_BEFORE,
        CANCELLED,
        OTHER_PAYMENT,
        OTHER_FEE
    }

    /**
     * A line with what was found.
     *
     * @param off by how much it is more than it should be, or less where it is below zero
     * @param with which of the fees were taken that are taken only sometimes
     */
    public record Matched(PaidLine line, Finding finding, Money off, List<String> with) {}

    public PayoutMatch {
        lines = List.copyOf(lines);
    }

    /**
     * Holds a payout against its orders.
     *
     * @param orders by their numbers; those that aren't known are left out
     * @param total what was paid out
     */
    public static PayoutMatch of(List<PaidLine> lines, Map<String, Expected> orders, Money total) {
        Money sum = Money.zero(total.getCurrencyUnit());
        List<Matched> matched = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        for (PaidLine line : lines) {
            Money net = line.paid().minus(line.fee());
            sum = sum.plus(net);
            Expected order = orders.get(line.order());
            boolean again = !seen.add(line.order());
            matched.add(order == null ? unknown(line, Finding.NO_SUCH_ORDER) : compared(line, order, again));
        }
        return new PayoutMatch(matched, total.minus(sum));
    }

    private static Matched unknown(PaidLine line, Finding why) {
        return new Matched(line, why, line.paid().minus(line.fee()), List.of());
    }

    private static Matched compared(PaidLine line, Expected order, boolean again) {
        if (order.isCancelled()) {
            return unknown(line, Finding.CANCELLED);
        }
        if (again || order.isPaidOut()) {
            return unknown(line, Finding.PAID_BEFORE);
        }
        if (!line.paid().isEqual(order.paid())) {
            return new Matched(line, Finding.OTHER_PAYMENT, line.paid().minus(order.paid()), List.of());
        }
        Optional<PossibleFees> exact = order.fees().stream()
                .filter(fees -> fees.together().isEqual(line.fee()))
                .findFirst();
        if (exact.isPresent()) {
            return new Matched(
                    line,
                    Finding.MATCHES,
                    Money.zero(line.fee().getCurrencyUnit()),
                    exact.get().with());
        }
        Money nearest = order.fees().stream()
                .map(PossibleFees::together)
                .min(Comparator.comparing(fee -> fee.minus(line.fee()).abs()))
                .orElseThrow();
        return new Matched(line, Finding.OTHER_FEE, nearest.minus(line.fee()), List.of());
    }

    /** Whether everything is as it should be. */
    public boolean isClean() {
        return difference.isZero() && lines.stream().allMatch(line -> line.finding() == Finding.MATCHES);
    }
}
