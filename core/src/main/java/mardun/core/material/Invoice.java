package mardun.core.material;

import java.util.List;
import java.util.stream.IntStream;
import mardun.core.money.Apportionment;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.Money;

/** A delivery's paper: what its lines cost, with postage and duty spread over them by value. */
public final class Invoice {

    private Invoice() {}

    /**
     * Each line's share of what was paid for all of them together, such as postage and duty: by the lines' prices, or in
     * equal parts where nothing has a price. The shares add up.
     *
     * @param lines the prices of the lines; at least one, none negative
     * @param extra what is spread; not negative
     */
    public static List<Money> shares(List<Money> lines, Money extra) {
        long total = lines.stream().mapToLong(Money::getAmountMinorLong).sum();
        List<BigFraction> exact = IntStream.range(0, lines.size())
                .mapToObj(i -> total == 0
                        ? BigFraction.of(extra.getAmountMinorLong()).divide(lines.size())
                        : BigFraction.of(extra.getAmountMinorLong())
                                .multiply(BigFraction.of(lines.get(i).getAmountMinorLong()))
                                .divide(BigFraction.of(total)))
                .toList();
        return Apportionment.of(exact, extra.getAmountMinorLong()).stream()
                .map(minor -> Money.ofMinor(extra.getCurrencyUnit(), minor))
                .toList();
    }

    /**
     * By how much the paper's total differs from what its lines, postage and duty add up to: positive where the paper
     * says more.
     */
    public static Money difference(List<Money> lines, Money postage, Money duty, Money paperTotal) {
        Money sum = lines.stream().reduce(postage.plus(duty), Money::plus);
        return paperTotal.minus(sum);
    }
}
