package mardun.core.material;

import java.util.Optional;
import mardun.core.measure.Length;

/** The woven edge of a cloth, which lies beside its usable width on each side. */
public final class Selvage {

    private Selvage() {}

    /**
     * How wide it is on each side: as the maker says, or half of what the cloth is wider than its usable width, rounded down.
     *
     * @param full from edge to edge
     * @return zero where it can't be told
     */
    public static Length of(Optional<Length> stated, Optional<Length> full, Optional<Length> usable) {
        return stated.or(() -> full.flatMap(wide -> usable.filter(wide::isLongerThan)
                        .map(part -> new Length(wide.minus(part).nanometres() / 2))))
                .orElse(Length.ZERO);
    }
}
