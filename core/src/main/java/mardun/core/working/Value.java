package mardun.core.working;

import java.math.BigDecimal;
import java.time.Duration;
import mardun.core.measure.Bulk;
import mardun.core.measure.Length;
import mardun.core.measure.Quantity;
import mardun.core.measure.ShownRounding;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.Money;

/** A value in a working, still exact and without a unit system: whoever shows it decides on inches or centimetres. */
public sealed interface Value {

    /** A length, an area or a plain number that a formula came to. */
    record Measured(Quantity quantity, ShownRounding rounding) implements Value {}

    /** A length of cloth or tape from the shelf. */
    record OnTheShelf(Length length) implements Value {}

    /** How thick something is under the foot: a few millimetres, told to the tenth. */
    record Thickness(Length length) implements Value {}

    /** A weight or a volume of a filling. */
    record Filled(Bulk bulk) implements Value {}

    record Sum(Money money) implements Value {}

    /** Money before it is rounded, in minor units. */
    record ExactSum(BigFraction minorUnits, String currency) implements Value {}

    record Time(Duration duration) implements Value {}

    record Count(long count) implements Value {}

    /** A plain factor, for instance 2 or 1.5. */
    record Factor(BigDecimal factor) implements Value {}

    /** A share, held as a fraction: 0.08 is shown as 8 %. */
    record Share(BigDecimal share) implements Value {}

    /** A name or another text as somebody typed it. */
    record Text(String text) implements Value {}

    static Value of(Quantity quantity) {
        return new Measured(quantity, ShownRounding.NEAREST);
    }

    static Value of(Length length) {
        return of(Quantity.of(length));
    }

    static Value of(Money money) {
        return new Sum(money);
    }

    static Value of(Duration duration) {
        return new Time(duration);
    }

    static Value of(String text) {
        return new Text(text);
    }

    static Value of(long count) {
        return new Count(count);
    }
}
