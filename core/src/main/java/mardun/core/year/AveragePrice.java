package mardun.core.year;

import java.util.Collection;
import mardun.core.money.Apportionment;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * What bags brought on average.
 *
 * @param bags how many, one or more
 * @param paid for all of them, in minor units
 */
public record AveragePrice(int bags, long paid) {

    /** Of some bags, one or more. */
    public static AveragePrice of(Collection<SoldBags> sold) {
        return new AveragePrice(
                sold.stream().mapToInt(SoldBags::bags).reduce(0, Math::addExact),
                sold.stream().mapToLong(SoldBags::paid).reduce(0, Math::addExact));
    }

    /** What one brought, in minor units, rounded half up. */
    public long each() {
        return Apportionment.rounded(BigFraction.of(paid).divide(bags));
    }

    /** By how much one brought more than one did before, in minor units; less where it is below zero. */
    public long beyond(AveragePrice before) {
        return each() - before.each();
    }
}
