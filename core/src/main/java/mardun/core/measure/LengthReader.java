package mardun.core.measure;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * Reads lengths as people type them: {@code 13 1/2}, {@code 13½}, {@code 13-1/2}, {@code 13.5}, {@code 13,5},
 * {@code 34.3 cm}, {@code 1 1/4 yd}, {@code 1 yd 5 in}, {@code 18 x 22}. A number without a unit has the field's.
 * What is read is exact; only a fraction that nanometres can't hold (a third of an inch) is rounded, to the nearest
 * nanometre.
 */
public final class LengthReader {

    /** Nothing that a small workroom measures is longer than this. */
    public static final Length LONGEST = Length.of(10_000, LengthUnit.METRE);

    private static final Pattern PART =
            Pattern.compile("(?:(?<whole>\\d+)(?: +| *- *))?(?<top>\\d+) */ *(?<bottom>\\d+)"
                    + "|(?<decimal>\\d+[.,]\\d*|[.,]\\d+|\\d+)");
    private static final Pattern UNIT = Pattern.compile(" *(?<unit>[\\p{L}]+|\"|')");
    private static final Pattern TIMES = Pattern.compile(" *(?:x|X|\\*|(?<= )by(?= )) *");
    private static final int MOST_CHARACTERS = 60;
    private static final String EXAMPLES = "Type it like 13 1/2, 13.5, 34.3 cm or 1 1/4 yd";

    private LengthReader() {}

    /**
     * The length that {@code text} says; a bare number counts in {@code bare}.
     *
     * @throws MeasureException if it can't be read, is negative or longer than {@link #LONGEST}
     */
    public static Length read(String text, LengthUnit bare) {
        return lengthOf(text, text, bare);
    }

    /**
     * The rectangle that {@code text} says, width first: {@code 18 x 22}, {@code 45 x 60 cm}. A unit behind only one of
     * the two counts for both.
     *
     * @throws MeasureException if it isn't two lengths
     */
    public static Extent readExtent(String text, LengthUnit bare) {
        String[] sides = TIMES.split(Characters.plain(text), -1);
        if (sides.length != 2) {
            throw new MeasureException(
                    Characters.shortened(text), "isn't a width and a height", "Type two lengths, like 18 x 22 in");
        }
        Optional<LengthUnit> widthUnit = lastUnit(sides[0]);
        Optional<LengthUnit> heightUnit = lastUnit(sides[1]);
        LengthUnit forWidth = widthUnit.or(() -> heightUnit).orElse(bare);
        LengthUnit forHeight = heightUnit.or(() -> widthUnit).orElse(bare);
        return new Extent(lengthOf(sides[0], text, forWidth), lengthOf(sides[1], text, forHeight));
    }

    private static Optional<LengthUnit> lastUnit(String side) {
        Matcher unit = Pattern.compile("([\\p{L}]+|\"|')$").matcher(side.strip());
        return unit.find() ? LengthUnit.named(unit.group(1)) : Optional.empty();
    }

    private record Part(BigFraction number, Optional<LengthUnit> unit) {}

    private static Length lengthOf(String text, String typed, LengthUnit bare) {
        String shown = Characters.shortened(typed);
        String plain = Characters.plain(text);
        if (plain.isEmpty()) {
            throw new MeasureException(shown, "is empty", EXAMPLES);
        }
        if (plain.length() > MOST_CHARACTERS) {
            throw new MeasureException(shown, "is too long for a length", EXAMPLES);
        }
        if (plain.startsWith("-")) {
            throw new MeasureException(shown, "is less than nothing", "A length is zero or more");
        }
        if (plain.contains(".") && plain.contains(",")) {
            throw new MeasureException(
                    shown,
                    "has both a comma and a point, so it isn't clear which one is the decimal mark",
                    "Use one of them, like 13.5 or 13,5");
        }
        List<Part> parts = parts(plain, shown);
        return Length.rounded(sum(parts, bare, shown), RoundingMode.HALF_EVEN);
    }

    private static List<Part> parts(String plain, String shown) {
        List<Part> parts = new ArrayList<>();
        Matcher number = PART.matcher(plain);
        Matcher unit = UNIT.matcher(plain);
        int at = 0;
        while (at < plain.length()) {
            number.region(at, plain.length());
            boolean behindBareNumber =
                    !parts.isEmpty() && parts.get(parts.size() - 1).unit().isEmpty();
            if (behindBareNumber || !number.lookingAt()) {
                throw notANumber(plain, at, shown);
            }
            BigFraction value = value(number, shown);
            at = number.end();
            unit.region(at, plain.length());
            Optional<LengthUnit> found = Optional.empty();
            if (unit.lookingAt()) {
                found = Optional.of(unitNamed(unit.group("unit"), shown));
                at = unit.end();
            }
            parts.add(new Part(value, found));
            while (at < plain.length() && plain.charAt(at) == ' ') {
                at++;
            }
        }
        return parts;
    }

    private static LengthUnit unitNamed(String name, String shown) {
        return LengthUnit.named(name)
                .orElseThrow(() -> new MeasureException(
                        shown,
                        "has “" + name + "” where a unit stands",
                        "Units are in, ft, yd, mm, cm and m; " + EXAMPLES.toLowerCase(Locale.ROOT)));
    }

    private static MeasureException notANumber(String plain, int at, String shown) {
        String rest = plain.substring(at);
        return new MeasureException(
                shown, at == 0 ? "doesn't begin with a number" : "can't be read from “" + rest + "” on", EXAMPLES);
    }

    private static BigFraction value(Matcher number, String shown) {
        if (number.group("decimal") != null) {
            String decimal = number.group("decimal").replace(',', '.');
            BigDecimal exact = new BigDecimal(decimal.endsWith(".") ? decimal + "0" : decimal);
            return BigFraction.of(exact.unscaledValue(), BigInteger.TEN.pow(exact.scale()));
        }
        BigFraction whole = number.group("whole") == null ? BigFraction.ZERO : integer(number.group("whole"));
        BigFraction top = integer(number.group("top"));
        BigFraction bottom = integer(number.group("bottom"));
        if (bottom.signum() == 0) {
            throw new MeasureException(shown, "has a fraction over nothing", "Type a fraction like 1/2 or 5/16");
        }
        if (number.group("whole") != null && top.compareTo(bottom) >= 0) {
            throw new MeasureException(
                    shown,
                    "has a fraction that is a whole or more behind its whole number",
                    "Type it like 13 1/2, or as one fraction");
        }
        return whole.add(top.divide(bottom));
    }

    private static BigFraction integer(String digits) {
        return BigFraction.of(new BigInteger(digits), BigInteger.ONE);
    }

    private static BigFraction sum(List<Part> parts, LengthUnit bare, String shown) {
        BigFraction sum = BigFraction.ZERO;
        LengthUnit before = null;
        for (Part part : parts) {
            if (parts.size() > 1 && part.unit().isEmpty()) {
                throw new MeasureException(
                        shown, "has a part without a unit", "Give each part its unit, like 1 yd 5 in");
            }
            LengthUnit unit = part.unit().orElse(bare);
            if (before != null && (before.system() != unit.system() || before.nanometres() <= unit.nanometres())) {
                throw new MeasureException(
                        shown,
                        "mixes " + before.symbol() + " and " + unit.symbol(),
                        "Put the larger unit first and stay with inches or metric, like 1 yd 5 in or 1 m 20 cm");
            }
            sum = sum.add(part.number().multiply(unit.nanometres()));
            before = unit;
        }
        if (sum.compareTo(LONGEST.exact()) > 0) {
            throw new MeasureException(shown, "is longer than ten kilometres", "Check the unit. " + EXAMPLES);
        }
        return sum;
    }
}
