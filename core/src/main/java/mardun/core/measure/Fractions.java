package mardun.core.measure;

import java.util.Comparator;
import org.apache.commons.numbers.fraction.BigFraction;

/** What the library's fractions don't do right. */
public final class Fractions {

    /** The order of fractions. Their own has two that are less than nothing the wrong way round. */
    public static final Comparator<BigFraction> ORDER =
            (one, other) -> one.subtract(other).signum();

    private Fractions() {}
}
