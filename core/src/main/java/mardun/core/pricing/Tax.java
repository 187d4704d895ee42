package mardun.core.pricing;

import java.math.BigDecimal;

/**
 * Sales tax by the maker's own rate.
 *
 * @param rate as a share, 0 or more: 0.19 for 19 %
 */
public record Tax(Mode mode, BigDecimal rate) {

    /** How a tax goes with a price. */
    public enum Mode {
        /** There is none, or the maker doesn't have to ask for it. */
        NONE("no tax"),
        /** The price has it inside. */
        INCLUDED("tax inside the price"),
        /** It comes on top of the price. */
        ADDED("tax on top of the price");

        private final String words;

        Mode(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public static final Tax NONE = new Tax(Mode.NONE, BigDecimal.ZERO);

    public Tax {
        if (rate.signum() < 0) {
            throw new IllegalArgumentException("a tax takes nothing or something: " + rate);
        }
    }
}
