package mardun.core.selling;

import java.util.List;
import java.util.stream.Stream;
import mardun.core.measure.Bulk;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;

/**
 * Bags as they are posted: empty and lying flat on one another. A boxed bag lies flat as wide as its base and its depth together, and
 * higher by half its depth.
 *
 * @param weight with its packing
 * @param longest the longest of its sides
 * @param middle the side between
 * @param shortest the shortest of its sides
 */
public record Parcel(Bulk weight, Length longest, Length middle, Length shortest) {

    /** How thick a bag counts that nobody has measured: 2 cm. */
    public static final Length USUALLY_THICK = Length.of(2, LengthUnit.CENTIMETRE);

    /**
     * Bags that go into a parcel.
     *
     * @param weight of one
     * @param wide finished
     * @param deep finished, nothing for what is flat
     * @param high finished
     * @param thick how thick one is when it lies flat
     */
    public record Bags(int units, Bulk weight, Length wide, Length deep, Length high, Length thick) {}

    /** A parcel of some bags in a packing that weighs so much. */
    public static Parcel of(List<Bags> bags, Bulk packing) {
        long weight = packing.amount();
        Length longest = Length.ZERO;
        Length middle = Length.ZERO;
        Length stacked = Length.ZERO;
        for (Bags some : bags) {
            weight = Math.addExact(weight, some.weight().times(some.units()).amount());
            Length across = some.wide().plus(some.deep());
            Length along = some.high().plus(half(some.deep()));
            longest = longest.max(across.max(along));
            middle = middle.max(smaller(across, along));
            stacked = stacked.plus(some.thick().times(some.units()));
        }
        List<Length> sides = Stream.of(longest, middle, stacked).sorted().toList();
        return new Parcel(new Bulk(Bulk.Kind.WEIGHT, weight), sides.get(2), sides.get(1), sides.get(0));
    }

    private static Length half(Length length) {
        return new Length((length.nanometres() + 1) / 2);
    }

    private static Length smaller(Length one, Length other) {
        return one.compareTo(other) <= 0 ? one : other;
    }
}
