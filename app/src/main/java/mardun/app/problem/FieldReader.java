package mardun.app.problem;

import java.math.BigDecimal;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import mardun.core.measure.Bulk;
import mardun.core.measure.BulkReader;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.MeasureException;
import mardun.core.measure.NumberReader;
import mardun.core.measure.TimeOfDayReader;
import org.joda.money.CurrencyUnit;

/**
 * Reads the fields of a form as they were typed and gathers what is wrong with all of them, so that a maker sees every
 * slip at once. What can't be read becomes the fallback, and {@link #check()} refuses the form in the end.
 */
public final class FieldReader {

    private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

    /** No amount of money in a small workroom is larger than this many whole units. */
    private static final BigDecimal MOST_MONEY = BigDecimal.valueOf(1_000_000);

    private final List<FieldProblem> problems = new ArrayList<>();

    /** A positive length; a bare number counts in {@code bare}. */
    public Length positiveLength(String field, String text, LengthUnit bare, Length most) {
        Length length = length(field, text, bare);
        if (isClean(field) && !length.isPositive()) {
            refuse(field, text, "“" + text + "” is nothing. Type a length above zero.");
        }
        if (isClean(field) && length.isLongerThan(most)) {
            refuse(field, text, "“" + text + "” is more than can be. Check the unit.");
        }
        return length;
    }

    /** A length of zero or more. */
    public Length length(String field, String text, LengthUnit bare) {
        return read(field, Length.ZERO, () -> LengthReader.read(text, bare));
    }

    /** A weight or a volume, zero or more, as is wanted. */
    public Bulk bulk(String field, String text, Bulk.Kind wanted) {
        Bulk bulk = read(field, new Bulk(wanted, 0), () -> BulkReader.read(text));
        if (bulk.kind() != wanted) {
            boolean weight = wanted == Bulk.Kind.WEIGHT;
            refuse(
                    field,
                    text,
                    "“" + text + "” is a " + (weight ? "volume, and a weight" : "weight, and a volume")
                            + " is wanted. Type it like " + (weight ? "120 g or 4 oz." : "0.5 l or 1 cup."));
            return new Bulk(wanted, 0);
        }
        return bulk;
    }

    /** Money in whole minor units, zero or more. */
    public long money(String field, String text, CurrencyUnit currency) {
        BigDecimal amount = decimal(field, text, BigDecimal.ZERO, MOST_MONEY);
        BigDecimal minor = amount.movePointRight(currency.getDecimalPlaces());
        if (minor.stripTrailingZeros().scale() > 0) {
            refuse(
                    field,
                    text,
                    "“" + text + "” has more decimals than " + currency.getCode() + " has coins. Type at most "
                            + currency.getDecimalPlaces() + ".");
            return 0;
        }
        return minor.longValueExact();
    }

    /** A percentage from 0 to less than 100, as a share: 8 becomes 0.08. */
    public BigDecimal share(String field, String text) {
        BigDecimal percent = decimal(field, text, BigDecimal.ZERO, new BigDecimal("99.99"));
        return percent.divide(HUNDRED);
    }

    /** A number from {@code least} to {@code most}. */
    public BigDecimal decimal(String field, String text, BigDecimal least, BigDecimal most) {
        BigDecimal number = read(field, least, () -> NumberReader.read(text));
        if (number.compareTo(least) < 0) {
            refuse(field, text, "“" + text + "” is less than " + least.toPlainString() + ", the least that can be.");
            return least;
        }
        if (number.compareTo(most) > 0) {
            refuse(field, text, "“" + text + "” is more than " + most.toPlainString() + ", the most that can be.");
            return least;
        }
        return number;
    }

    public int count(String field, String text, int least, int most) {
        return read(field, least, () -> NumberReader.readCount(text, least, most));
    }

    /** A text that isn't blank, without spaces around it. */
    public String text(String field, String text, int most) {
        String stripped = text.strip();
        if (stripped.isEmpty()) {
            refuse(field, text, "This is empty. Type a name.");
        } else if (stripped.length() > most) {
            refuse(field, stripped, "This is " + stripped.length() + " characters long. Use at most " + most + ".");
        }
        return stripped;
    }

    public void refuse(String field, String read, String sentence) {
        problems.add(new FieldProblem(field, read, sentence));
    }

    public List<FieldProblem> problems() {
        return List.copyOf(problems);
    }

    /** A time of day, to the minute; empty where none can be read. */
    public Optional<LocalTime> time(String field, String text) {
        return read(field, Optional.empty(), () -> Optional.of(TimeOfDayReader.read(text)));
    }

    /** Refuses the form if anything was wrong with it. */
    public void check() {
        if (!problems.isEmpty()) {
            throw RefusedException.fields(problems);
        }
    }

    private boolean isClean(String field) {
        return problems.stream().noneMatch(p -> p.field().equals(field));
    }

    private <T> T read(String field, T fallback, Supplier<T> reading) {
        try {
            return reading.get();
        } catch (MeasureException bad) {
            refuse(field, bad.read(), bad.getMessage() + ".");
            return fallback;
        }
    }
}
