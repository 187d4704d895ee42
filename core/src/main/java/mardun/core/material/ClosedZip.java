package mardun.core.material;

import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;
import java.util.function.Function;
import mardun.core.measure.Length;

/**
 * A zip sold closed at its ends, in one length. A nylon one may be cut down, with its end stitched; a metal one isn't
 * cut, so it must match.
 *
 * @param length of its teeth; positive
 */
public record ClosedZip(Length length, boolean metal) {

    /** Whether it serves where a zip of {@code wanted} is sewn in. */
    public boolean serves(Length wanted) {
        return metal ? length.equals(wanted) : length.compareTo(wanted) >= 0;
    }

    /** Of many, the shortest that serves: the exact one, or the next longer one that may be cut down. */
    public static <T> Optional<T> nearest(Length wanted, Collection<T> from, Function<T, ClosedZip> zipOf) {
        return from.stream()
                .filter(one -> zipOf.apply(one).serves(wanted))
                .min(Comparator.comparing((T one) -> zipOf.apply(one).length()));
    }
}
