package mardun.core.making;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Collection;
import mardun.core.material.ClothKind;

/**
 * When what wears is changed: after as many hours at the machine, or as many metres cut, as the maker has found good for quilting cotton;
 * sooner with cloth that wears it faster.
 *
 * @param kind what wears
 * @param limit after how much it is changed: hours, or metres of cloth, above zero
 */
public record Upkeep(Kind kind, BigDecimal limit) {

    private static final BigDecimal USUAL_NEEDLE_HOURS = BigDecimal.valueOf(8);
    private static final BigDecimal USUAL_OIL_HOURS = BigDecimal.valueOf(10);
    private static final BigDecimal USUAL_BLADE_METRES = BigDecimal.valueOf(40);
    private static final int PLACES = 1;

    /** What wears, and is changed or cared for. */
    public enum Kind {
        NEEDLE("the needle", true, USUAL_NEEDLE_HOURS),
        OIL("the oil", true, USUAL_OIL_HOURS),
        BLADE("the blade", false, USUAL_BLADE_METRES);

        private final String words;
        private final boolean wearsByHours;
        private final BigDecimal usual;

        Kind(String words, boolean wearsByHours, BigDecimal usual) {
            this.words = words;
            this.wearsByHours = wearsByHours;
            this.usual = usual;
        }

        public String words() {
            return words;
        }

        /** Whether it wears by the hours at its machine; otherwise by the metres of cloth that are cut. */
        public boolean wearsByHours() {
            return wearsByHours;
        }

        /** What is usual until the maker has found better. */
        public BigDecimal usual() {
            return usual;
        }

        /** Whether it wears at such a station. */
        public boolean isAt(Station station) {
            return switch (this) {
                case NEEDLE -> station == Station.MACHINE || station == Station.OVERLOCKER;
                case OIL -> station.sews();
                case BLADE -> station == Station.CUTTING_TABLE;
            };
        }
    }

    /** After how much it is changed with some cloths at hand: coated and thick ones wear needle and blade out sooner. */
    public BigDecimal limitWith(Collection<ClothKind> cloths) {
        BigDecimal wear = kind == Kind.OIL
                ? BigDecimal.ONE
                : cloths.stream().map(Upkeep::wear).max(BigDecimal::compareTo).orElse(BigDecimal.ONE);
        return limit.divide(wear, PLACES, RoundingMode.HALF_UP);
    }

    /** How many times as fast as quilting cotton a cloth wears needle and blade. */
    private static BigDecimal wear(ClothKind cloth) {
        return switch (cloth) {
            case QUILTING_COTTON, LINEN, MESH, BATTING -> BigDecimal.ONE;
            case CANVAS, DENIM, FUSIBLE, FOAM -> new BigDecimal("1.5");
            case LAMINATE, CLEAR_VINYL, LEATHER_LIKE, CORK, FELT -> BigDecimal.valueOf(2);
        };
    }
}
