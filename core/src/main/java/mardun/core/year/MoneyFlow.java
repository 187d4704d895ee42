package mardun.core.year;

import java.util.Collection;
import java.util.EnumMap;
import java.util.Map;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;

/**
 * Where the money went that buyers paid: all parts together are what they paid. Less than nothing is left where the year cost more than
 * it brought.
 *
 * @param sales what buyers paid
 * @param parts every place, in the order of {@link To}
 * @param unknownBags of how many bags sold the work isn't known: all that they cost is among material
 */
public record MoneyFlow(Money sales, Map<To, Money> parts, int unknownBags) {

    /** Where money goes. */
    public enum To {
        TAX("tax"),
        FEES("fees of selling"),
        FAIRS("going to fairs"),
        GONE("given away, broken, stolen"),
        MATERIAL("material"),
        OVERHEADS("overheads"),
        LABOUR("your work"),
        LEFT("left");

        private final String words;

        To(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * The flow of some sales.
     *
     * @param fairs what going to fairs cost, in minor units
     * @param gone what bags cost that were given away, broken or stolen there, likewise
     */
    public static MoneyFlow of(Collection<SoldBags> sold, long fairs, long gone, CurrencyUnit currency) {
        Map<To, Long> minor = new EnumMap<>(To.class);
        for (To to : To.values()) {
            minor.put(to, 0L);
        }
        minor.put(To.FAIRS, fairs);
        minor.put(To.GONE, gone);
        long paid = 0;
        int unknown = 0;
        for (SoldBags one : sold) {
            long labour = one.making().map(SoldBags.Making::labour).orElse(0L);
            long overheads = one.making().map(SoldBags.Making::overheads).orElse(0L);
            paid = Math.addExact(paid, one.paid());
            minor.merge(To.TAX, one.tax(), Math::addExact);
            minor.merge(To.FEES, one.fees(), Math::addExact);
            minor.merge(To.LABOUR, labour, Math::addExact);
            minor.merge(To.OVERHEADS, overheads, Math::addExact);
            minor.merge(To.MATERIAL, one.cost() - labour - overheads, Math::addExact);
            unknown += one.making().isPresent() ? 0 : one.bags();
        }
        minor.put(
                To.LEFT,
                paid - minor.values().stream().mapToLong(Long::longValue).sum());
        Map<To, Money> parts = new EnumMap<>(To.class);
        minor.forEach((to, amount) -> parts.put(to, Money.ofMinor(currency, amount)));
        return new MoneyFlow(Money.ofMinor(currency, paid), parts, unknown);
    }
}
