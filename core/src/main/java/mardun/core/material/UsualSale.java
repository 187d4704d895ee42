package mardun.core.material;

import java.util.Optional;
import mardun.core.measure.UnitSystem;

/**
 * How shops usually sell a material: what a price is for, and how wide a cloth is there. It is where a maker begins who hasn't the
 * material yet; what she really buys says more.
 *
 * @param per an amount, as typed
 * @param width usable width of a cloth, as typed; empty for anything else
 */
public record UsualSale(String per, String width) {

    /** @param cloth what kind of cloth it is; empty for anything else, or where any serves */
    public static UsualSale of(MaterialKind kind, Optional<ClothKind> cloth, UnitSystem system) {
        boolean inch = system == UnitSystem.INCH;
        return switch (kind) {
            case CLOTH -> new UsualSale(inch ? "1 yd" : "1 m", width(cloth.orElse(ClothKind.QUILTING_COTTON), inch));
            case SHEET -> new UsualSale("1", inch ? "12 in" : "30 cm");
            case TRIM -> new UsualSale(inch ? "1 yd" : "1 m", "");
            case THREAD -> new UsualSale(inch ? "500 yd" : "500 m", "");
            case NOTION, PACKING -> new UsualSale("1", "");
            case FILLING_BY_WEIGHT -> new UsualSale(inch ? "1 lb" : "1 kg", "");
            case FILLING_BY_VOLUME -> new UsualSale(inch ? "1 cup" : "1 l", "");
        };
    }

    private static String width(ClothKind cloth, boolean inch) {
        return switch (cloth) {
            case QUILTING_COTTON -> inch ? "42 in" : "108 cm";
            case LINEN, CANVAS, DENIM, LAMINATE, CLEAR_VINYL, LEATHER_LIKE, MESH -> inch ? "54 in" : "138 cm";
            case FUSIBLE -> inch ? "20 in" : "90 cm";
            case BATTING, FOAM -> inch ? "58 in" : "148 cm";
            case CORK -> inch ? "27 in" : "68 cm";
            case FELT -> inch ? "36 in" : "90 cm";
        };
    }
}
