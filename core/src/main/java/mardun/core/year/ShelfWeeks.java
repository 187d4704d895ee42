package mardun.core.year;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Optional;

/**
 * How long bags of one kind will lie if they go as they did lately.
 *
 * @param there how many there are
 * @param sold how many were sold in the weeks that are looked at
 * @param weeks how many weeks that is: half a year, or since the first of them was there
 */
public record ShelfWeeks(int there, int sold, int weeks) {

    /** The weeks that are looked at where bags were there all the time. */
    public static final int LOOKED_AT = 26;

    private static final int SOON = 13;
    private static final int TOO_LONG = 52;

    /** Weeks of sales that lie on the shelf, to the tenth, half up; empty where none was sold. */
    public Optional<BigDecimal> lasts() {
        return sold == 0
                ? Optional.empty()
                : Optional.of(BigDecimal.valueOf((long) there * weeks)
                        .divide(BigDecimal.valueOf(sold), 1, RoundingMode.HALF_UP));
    }

    /** Whether they are dying there: after a quarter of a year none was sold, or what is there lasts longer than a year. */
    public boolean isDying() {
        return there > 0
                && weeks >= SOON
                && lasts().map(last -> last.compareTo(BigDecimal.valueOf(TOO_LONG)) > 0)
                        .orElse(true);
    }
}
