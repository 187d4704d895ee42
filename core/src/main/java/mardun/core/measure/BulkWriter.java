package mardun.core.measure;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Writes weights and volumes: grams and millilitres to whole ones, ounces to a tenth. */
public final class BulkWriter {

    private BulkWriter() {}

    public static Shown write(Bulk bulk, UnitSystem system) {
        boolean weight = bulk.kind() == Bulk.Kind.WEIGHT;
        if (system == UnitSystem.INCH) {
            return in(bulk, weight ? BulkUnit.OUNCE : BulkUnit.FLUID_OUNCE, 1);
        }
        BulkUnit large = weight ? BulkUnit.KILOGRAM : BulkUnit.LITRE;
        return Math.abs(bulk.amount()) >= large.amount()
                ? in(bulk, large, 2)
                : in(bulk, weight ? BulkUnit.GRAM : BulkUnit.MILLILITRE, 0);
    }

    private static Shown in(Bulk bulk, BulkUnit unit, int decimals) {
        BigDecimal exact =
                BigDecimal.valueOf(bulk.amount()).divide(BigDecimal.valueOf(unit.amount()), 12, RoundingMode.HALF_UP);
        BigDecimal shown = exact.setScale(decimals, RoundingMode.HALF_UP);
        String text = shown.stripTrailingZeros().toPlainString().replace('-', '−');
        return new Shown(text + " " + unit.symbol(), shown.compareTo(exact) != 0);
    }
}
