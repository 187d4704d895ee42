package mardun.core.selling;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
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
     * @param paidBack what was paid back to the buyer, the first in front
     */
    public record Expected(
            Money paid, List<PossibleFees> fees, boolean isPaidOut, boolean isCancelled, List<PaidBack> paidBack) {

        public Expected {
            fees = List.copyOf(fees);
            paidBack = List.copyOf(paidBack);
        }
    }

    /**
     * Money that a buyer got back.
     *
     * @param amount above zero
     * @param feesBack what the shop may give back of its fees for it
     * @param isPaidOut whether an earlier payout had it
     */
    public record PaidBack(UUID id, Money amount, List<Money> feesBack, boolean isPaidOut) {

        public PaidBack {
            feesBack = List.copyOf(feesBack);
        }
    }

    /** How a line compares with its order. */
    public enum Finding {
        MATCHES,
        NO_SUCH_ORDER,
        PAID_BEFORE,
        CANCELLED,
        OTHER_PAYMENT,
        OTHER_FEE,
        /** Nothing was paid back to the buyer. */
        NOTHING_PAID_BACK
    }

    /**
     * A line with what was found.
     *
     * @param off by how much it is more than it should be, or less where it is below zero
     * @param with which of the fees were taken that are taken only sometimes
     * @param paidBack what of that which was paid back to the buyer is settled by it
     */
    public record Matched(PaidLine line, Finding finding, Money off, List<String> with, List<UUID> paidBack) {

        public Matched {
            with = List.copyOf(with);
            paidBack = List.copyOf(paidBack);
        }

        /** Whether this line is the payment of its order, be it right or not. */
        public boolean isPaymentOfOrder() {
            return !line.paid().isNegative()
                    && (finding == Finding.MATCHES || finding == Finding.OTHER_FEE || finding == Finding.OTHER_PAYMENT);
        }
    }

    public PayoutMatch {
        lines = List.copyOf(lines);
    }

    /**
     * Holds a payout against its orders. What was paid back to a buyer may be a line of its own, or may be missing from the payment already.
     *
     * @param orders by their numbers; those that aren't known are left out
     * @param total what was paid out
     */
    public static PayoutMatch of(List<PaidLine> lines, Map<String, Expected> orders, Money total) {
        Money sum = Money.zero(total.getCurrencyUnit());
        List<Matched> matched = new ArrayList<>();
        Set<String> paid = new HashSet<>();
        Set<UUID> settled = new HashSet<>();
        for (PaidLine line : lines) {
            sum = sum.plus(net(line));
            Expected order = orders.get(line.order());
            Matched found = order == null
                    ? outOfPlace(line, Finding.NO_SUCH_ORDER)
                    : line.paid().isNegative()
                            ? paidBack(line, order, settled)
                            : payment(line, order, !paid.add(line.order()), settled);
            settled.addAll(found.paidBack());
            matched.add(found);
        }
        return new PayoutMatch(matched, total.minus(sum));
    }

    private static Money net(PaidLine line) {
        return line.paid().minus(line.fee());
    }

    private static Matched outOfPlace(PaidLine line, Finding why) {
        return new Matched(line, why, net(line), List.of(), List.of());
    }

    private static List<PaidBack> open(Expected order, Set<UUID> settled) {
        return order.paidBack().stream()
                .filter(back -> !back.isPaidOut() && !settled.contains(back.id()))
                .toList();
    }

    private static Matched payment(PaidLine line, Expected order, boolean again, Set<UUID> settled) {
        if (order.isCancelled()) {
            return outOfPlace(line, Finding.CANCELLED);
        }
        if (again || order.isPaidOut()) {
            return outOfPlace(line, Finding.PAID_BEFORE);
        }
        if (line.paid().isEqual(order.paid())) {
            return withFees(line, order.fees(), List.of());
        }
        List<PaidBack> open = open(order, settled);
        Money less = open.stream().map(PaidBack::amount).reduce(order.paid(), Money::minus);
        return line.paid().isEqual(less)
                ? withFees(line, lessFees(order.fees(), open), open)
                : new Matched(line, Finding.OTHER_PAYMENT, line.paid().minus(order.paid()), List.of(), List.of());
    }

    /** What may be taken where some of it is given back at once. */
    private static List<PossibleFees> lessFees(List<PossibleFees> fees, List<PaidBack> open) {
        List<PossibleFees> less = fees;
        for (PaidBack back : open) {
            less = less.stream()
                    .flatMap(before -> back.feesBack().stream()
                            .map(its -> new PossibleFees(before.together().minus(its), before.with())))
                    .distinct()
                    .toList();
        }
        return less;
    }

    private static Matched paidBack(PaidLine line, Expected order, Set<UUID> settled) {
        List<PaidBack> open = open(order, settled);
        Optional<PaidBack> exact = open.stream()
                .filter(back -> back.amount().isEqual(line.paid().negated()))
                .findFirst();
        if (exact.isPresent()) {
            List<PossibleFees> back = exact.get().feesBack().stream()
                    .map(fees -> new PossibleFees(fees.negated(), List.of()))
                    .toList();
            return withFees(line, back, List.of(exact.get()));
        }
        if (!open.isEmpty()) {
            Money off = line.paid().plus(open.get(0).amount());
            return new Matched(
                    line,
                    Finding.OTHER_PAYMENT,
                    off,
                    List.of(),
                    List.of(open.get(0).id()));
        }
        return outOfPlace(line, order.paidBack().isEmpty() ? Finding.NOTHING_PAID_BACK : Finding.PAID_BEFORE);
    }

    /** The payment is right; whether the fee is as well. */
    private static Matched withFees(PaidLine line, List<PossibleFees> possible, List<PaidBack> settled) {
        List<UUID> ids = settled.stream().map(PaidBack::id).toList();
        PossibleFees nearest = possible.stream()
                .min(Comparator.comparing(
                        fees -> fees.together().minus(line.fee()).abs()))
                .orElseThrow();
        Money off = nearest.together().minus(line.fee());
        return off.isZero()
                ? new Matched(line, Finding.MATCHES, off, nearest.with(), ids)
                : new Matched(line, Finding.OTHER_FEE, off, List.of(), ids);
    }

    /** Whether everything is as it should be. */
    public boolean isClean() {
        return difference.isZero() && lines.stream().allMatch(line -> line.finding() == Finding.MATCHES);
    }
}
