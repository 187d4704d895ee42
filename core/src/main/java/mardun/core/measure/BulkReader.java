package mardun.core.measure;

import java.math.RoundingMode;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.numbers.fraction.BigFraction;

/** Reads weights and volumes as people type them: {@code 120 g}, {@code 1/2 lb}, {@code 1 1/4 cups}, {@code 0,5 l}. */
public final class BulkReader {

    private static final Pattern AMOUNT =
            Pattern.compile("(?<number>[\\d ./,-]*\\d[.,]?) *(?<unit>\\p{L}[\\p{L}. ]*)?");
    private static final BigFraction MOST_GRAMS_OR_MILLILITRES = BigFraction.of(1_000_000);
    private static final String RIGHT = "Type it like 120 g, 4 oz, 0.5 l or 1 1/4 cups";

    private BulkReader() {}

    /**
     * The weight or volume that {@code text} says. There is no usual unit: it has to be typed.
     *
     * @throws MeasureException if it can't be read, or is more than a ton
     */
    public static Bulk read(String text) {
        String shown = Characters.shortened(text);
        Matcher matcher = AMOUNT.matcher(Characters.plain(text));
        if (!matcher.matches()) {
            throw new MeasureException(shown, "isn't a weight or a volume", RIGHT);
        }
        if (matcher.group("unit") == null) {
            throw new MeasureException(shown, "has no unit", RIGHT);
        }
        BulkUnit unit = BulkUnit.named(matcher.group("unit").strip())
                .orElseThrow(() -> new MeasureException(
                        shown, "has “" + matcher.group("unit").strip() + "” where a unit stands", RIGHT));
        BigFraction exact = NumberReader.readMixed(matcher.group("number")).multiply(unit.amount());
        BigFraction most = MOST_GRAMS_OR_MILLILITRES.multiply(
                (unit.kind() == Bulk.Kind.WEIGHT ? BulkUnit.GRAM : BulkUnit.MILLILITRE).amount());
        if (exact.signum() < 0 || exact.compareTo(most) > 0) {
            throw new MeasureException(shown, "is beyond any workroom", RIGHT);
        }
        return new Bulk(
                unit.kind(), exact.bigDecimalValue(0, RoundingMode.HALF_EVEN).longValueExact());
    }
}
