package mardun.core.measure;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.numbers.fraction.BigFraction;

/** Reads plain numbers as people type them, with a point or a comma as the decimal mark. */
public final class NumberReader {

    private static final Pattern DECIMAL = Pattern.compile("-?(\\d+([.,]\\d*)?|[.,]\\d+)");
    private static final Pattern MIXED =
            Pattern.compile("(?:(?<whole>\\d{1,9})(?: +| *- *))?(?<top>\\d{1,9}) */ *(?<bottom>\\d{1,9})");
    private static final int MOST_CHARACTERS = 24;

    private NumberReader() {}

    /**
     * The number that {@code text} says, exactly.
     *
     * @throws MeasureException if it isn't one number
     */
    public static BigDecimal read(String text) {
        return read(text, "Type a number, for instance 12 or 12.50");
    }

    private static BigDecimal read(String text, String right) {
        String trimmed = Characters.plain(text).replace(" ", "");
        if (trimmed.isEmpty()) {
            throw new MeasureException(text, "is empty", right);
        }
        if (trimmed.length() > MOST_CHARACTERS) {
            throw new MeasureException(Characters.shortened(text), "is too long for a number", "Type a number");
        }
        if (trimmed.contains(".") && trimmed.contains(",")) {
            throw new MeasureException(
                    text,
                    "has both a comma and a point, so it isn't clear which one is the decimal mark",
                    "Type it with one of them, for instance " + trimmed.replaceAll("[.,](?=.*[.,])", ""));
        }
        if (!DECIMAL.matcher(trimmed).matches()) {
            throw new MeasureException(text, "isn't a number", right);
        }
        String plain = trimmed.replace(',', '.');
        return new BigDecimal(plain.endsWith(".") ? plain + "0" : plain);
    }

    /**
     * A number that may be written with a fraction: {@code 1 1/4}, {@code 3/8}, {@code 0,5}.
     *
     * @throws MeasureException if it isn't one number
     */
    public static BigFraction readMixed(String text) {
        Matcher mixed = MIXED.matcher(Characters.plain(text));
        if (!mixed.matches()) {
            BigDecimal decimal = read(text);
            return BigFraction.of(decimal.unscaledValue(), BigInteger.TEN.pow(Math.max(0, decimal.scale())));
        }
        BigFraction bottom = BigFraction.of(new BigInteger(mixed.group("bottom")), BigInteger.ONE);
        if (bottom.signum() == 0) {
            throw new MeasureException(text, "has a fraction over nothing", "Type a fraction like 1/2 or 5/16");
        }
        String whole = mixed.group("whole") == null ? "0" : mixed.group("whole");
        return BigFraction.of(new BigInteger(whole), BigInteger.ONE)
                .add(BigFraction.of(new BigInteger(mixed.group("top")), BigInteger.ONE)
                        .divide(bottom));
    }

    /**
     * A whole number from {@code least} to {@code most}.
     *
     * @throws MeasureException if it isn't whole or out of range
     */
    public static int readCount(String text, int least, int most) {
        String right = "Type a whole number from " + least + " to " + most;
        BigDecimal number = read(text, right);
        if (number.stripTrailingZeros().scale() > 0) {
            throw new MeasureException(text, "isn't a whole number", right);
        }
        if (number.compareTo(BigDecimal.valueOf(least)) < 0) {
            throw new MeasureException(text, "is less than " + least, right);
        }
        if (number.compareTo(BigDecimal.valueOf(most)) > 0) {
            throw new MeasureException(text, "is more than " + most, right);
        }
        return number.intValueExact();
    }
}
