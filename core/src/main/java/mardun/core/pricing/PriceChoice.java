package mardun.core.pricing;

import java.math.BigDecimal;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.joda.money.Money;

/**
 * The maker's way of setting prices.
 *
 * @param factor of the materials, for the time spent choosing, fetching and preparing them; often 2; more than 0
 * @param margin share of what is wanted that is to be left, from 0 to less than 1
 * @param markup share of the full cost that is put on top, 0 or more
 * @param multiple of the trade price, that a buyer pays; often 2; 1 or more
 * @param leastRate the least that an hour is worked for; empty for the usual rate
 * @param bySort of some sorts of bags the school that is usual for them: by the sort, in whatever letters
 * @param feesInside what the school gives is the price, and the channel takes from it; else what it takes is put on top
 */
public record PriceChoice(
        PriceSchool school,
        BigDecimal factor,
        BigDecimal margin,
        BigDecimal markup,
        BigDecimal multiple,
        Optional<Money> leastRate,
        boolean feesInside,
        PriceRounding rounding,
        Map<String, PriceSchool> bySort) {

    private static final BigDecimal USUAL_MULTIPLE = BigDecimal.valueOf(2);

    public PriceChoice {
        bySort = bySort.entrySet().stream()
                .collect(Collectors.toMap(one -> plain(one.getKey()), Map.Entry::getValue, (one, other) -> other));
    }

    /** The same school for all sorts of bags. */
    public PriceChoice(
            PriceSchool school,
            BigDecimal factor,
            BigDecimal margin,
            BigDecimal markup,
            BigDecimal multiple,
            Optional<Money> leastRate,
            boolean feesInside,
            PriceRounding rounding) {
        this(school, factor, margin, markup, multiple, leastRate, feesInside, rounding, Map.of());
    }

    /** The usual multiple, the usual rate, fees on top and rounding upwards. */
    public PriceChoice(PriceSchool school, BigDecimal factor, BigDecimal margin, BigDecimal markup, PricePoint point) {
        this(school, factor, margin, markup, USUAL_MULTIPLE, Optional.empty(), false, PriceRounding.up(point));
    }

    /** By so many an hour, of which each earns at least so much. */
    PriceChoice atLeast(Money anHour) {
        return new PriceChoice(
                PriceSchool.HOURLY, factor, margin, markup, multiple, Optional.of(anHour), feesInside, rounding);
    }

    /** As it is for a sort of bags: by their own school, or by the usual one where none is chosen for them. */
    public PriceChoice forSort(String sort) {
        return by(bySort.getOrDefault(plain(sort), school));
    }

    /** The same by another school. */
    public PriceChoice by(PriceSchool other) {
        return new PriceChoice(other, factor, margin, markup, multiple, leastRate, feesInside, rounding, bySort);
    }

    private static String plain(String sort) {
        return sort.strip().toLowerCase(Locale.ROOT);
    }
}
