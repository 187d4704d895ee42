package mardun.core.measure;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.RoundingMode;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * Writes lengths as makers read them: inches with true fractions, centimetres to the millimetre. Whatever is written
 * can be read again by {@link LengthReader}.
 *
 * @param inchStep the finest fraction of an inch that is shown
 */
public record LengthWriter(InchStep inchStep) {

    private static final BigFraction NM_PER_INCH = BigFraction.of(LengthUnit.INCH.nanometres());
    private static final BigFraction NM_PER_MM = BigFraction.of(LengthUnit.MILLIMETRE.nanometres());
    private static final long SIXTY_FOURTH = LengthUnit.INCH.nanometres() / 64;
    private static final long TENTH_OF_MM = LengthUnit.MILLIMETRE.nanometres() / 10;
    private static final Map<String, String> GLYPHS = Map.of(
            "1/2", "½", "1/4", "¼", "3/4", "¾", "1/8", "⅛", "3/8", "⅜", "5/8", "⅝", "7/8", "⅞", "1/3", "⅓", "2/3", "⅔");

    /** A piece's measure, in inches or in centimetres: {@code 10 ½ in}, {@code 26.7 cm}, {@code 6 mm}. */
    public Shown write(BigFraction nanometres, UnitSystem system, ShownRounding rounding) {
        if (nanometres.signum() < 0) {
            Shown positive = write(nanometres.negate(), system, opposite(rounding));
            return negative(positive);
        }
        return system == UnitSystem.INCH ? inches(nanometres, rounding) : centimetres(nanometres, rounding);
    }

    public Shown write(Length length, UnitSystem system, ShownRounding rounding) {
        return write(length.exact(), system, rounding);
    }

    /** A length of cloth or tape from the shelf: {@code 1 yd 13 ½ in}, {@code 1.31 m}; short ones as pieces are. */
    public Shown writeLong(Length length, UnitSystem system, ShownRounding rounding) {
        if (length.nanometres() < 0) {
            Shown positive = writeLong(new Length(-length.nanometres()), system, opposite(rounding));
            return negative(positive);
        }
        if (length.compareTo(Length.of(1, system.clothUnit())) < 0) {
            return write(length, system, rounding);
        }
        return system == UnitSystem.INCH ? yards(length, rounding) : metres(length, rounding);
    }

    /** The length without any rounding, as a text that reads back to the same: for fields that are edited. */
    public static String exactly(Length length, UnitSystem system) {
        long nm = length.nanometres();
        boolean wholeSixtyFourths = nm % SIXTY_FOURTH == 0;
        boolean wholeTenths = nm % TENTH_OF_MM == 0;
        if (wholeSixtyFourths && (system == UnitSystem.INCH || !wholeTenths)) {
            return mixed(BigFraction.of(nm, LengthUnit.INCH.nanometres())) + " in";
        }
        return new BigDecimal(nm)
                        .divide(BigDecimal.valueOf(LengthUnit.CENTIMETRE.nanometres()))
                        .stripTrailingZeros()
                        .toPlainString()
                + " cm";
    }

    /** A length from the shelf without any rounding: in whole yards or metres where it is, else as a piece's. */
    public static String exactlyLong(Length length, UnitSystem system) {
        LengthUnit own = system.clothUnit();
        LengthUnit other = system.other().clothUnit();
        return wholeQuarters(length, own)
                .or(() -> wholeQuarters(length, other))
                .orElseGet(() -> exactly(length, system));
    }

    private static Optional<String> wholeQuarters(Length length, LengthUnit unit) {
        boolean whole = length.nanometres() >= unit.nanometres() && length.nanometres() % (unit.nanometres() / 4) == 0;
        if (!whole) {
            return Optional.empty();
        }
        BigFraction count = BigFraction.of(length.nanometres(), unit.nanometres());
        String text = unit.system() == UnitSystem.INCH
                ? mixed(count)
                : count.bigDecimalValue().stripTrailingZeros().toPlainString();
        return Optional.of(text + " " + unit.symbol());
    }

    private static Shown negative(Shown positive) {
        boolean nothing = positive.text().startsWith("0 ");
        return new Shown(nothing ? positive.text() : "−" + positive.text(), positive.rounded());
    }

    private Shown inches(BigFraction nanometres, ShownRounding rounding) {
        BigFraction exact = nanometres.divide(NM_PER_INCH);
        BigFraction shown = stepped(exact, inchStep.parts(), rounding.mode());
        return new Shown(mixed(shown) + " in", !shown.equals(exact));
    }

    private Shown yards(Length length, ShownRounding rounding) {
        BigFraction exact = length.exact().divide(NM_PER_INCH);
        BigFraction shown = stepped(exact, inchStep.parts(), rounding.mode());
        BigInteger[] split =
                shown.bigDecimalValue(0, RoundingMode.FLOOR).toBigInteger().divideAndRemainder(BigInteger.valueOf(36));
        BigFraction rest = shown.subtract(BigFraction.of(split[0].multiply(BigInteger.valueOf(36)), BigInteger.ONE));
        String text = split[0] + " yd" + (rest.signum() == 0 ? "" : " " + mixed(rest) + " in");
        return new Shown(text, !shown.equals(exact));
    }

    private static Shown metres(Length length, ShownRounding rounding) {
        BigDecimal exact =
                BigDecimal.valueOf(length.nanometres()).divide(BigDecimal.valueOf(LengthUnit.METRE.nanometres()));
        BigDecimal shown = exact.setScale(2, rounding.mode());
        return new Shown(shown.toPlainString() + " m", shown.compareTo(exact) != 0);
    }

    private static Shown centimetres(BigFraction nanometres, ShownRounding rounding) {
        BigFraction exact = nanometres.divide(NM_PER_MM);
        BigDecimal millimetres = exact.bigDecimalValue(0, rounding.mode());
        boolean rounded =
                !BigFraction.of(millimetres.toBigInteger(), BigInteger.ONE).equals(exact);
        if (millimetres.signum() != 0 && millimetres.compareTo(BigDecimal.TEN) < 0) {
            return new Shown(millimetres.toPlainString() + " mm", rounded);
        }
        BigDecimal centimetres = millimetres.movePointLeft(1).stripTrailingZeros();
        return new Shown(centimetres.toPlainString() + " cm", rounded);
    }

    private static BigFraction stepped(BigFraction value, int parts, RoundingMode mode) {
        BigInteger steps = value.multiply(parts).bigDecimalValue(0, mode).toBigInteger();
        return BigFraction.of(steps, BigInteger.valueOf(parts));
    }

    /** A whole number and a true fraction: {@code 10 ½}, {@code ⅜}, {@code 3 5⁄16}. */
    private static String mixed(BigFraction value) {
        BigInteger[] split = value.getNumerator().divideAndRemainder(value.getDenominator());
        if (split[1].signum() == 0) {
            return split[0].toString();
        }
        String plain = split[1] + "/" + value.getDenominator();
        String fraction = GLYPHS.getOrDefault(plain, split[1] + "⁄" + value.getDenominator());
        return split[0].signum() == 0 ? fraction : split[0] + " " + fraction;
    }

    private static ShownRounding opposite(ShownRounding rounding) {
        return switch (rounding) {
            case UP -> ShownRounding.DOWN;
            case DOWN -> ShownRounding.UP;
            case NEAREST -> ShownRounding.NEAREST;
        };
    }
}
