package mardun.core.material;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import mardun.core.measure.Area;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * From which of the cloths that were cut the kept offcuts are left, and what share of its area each is: the parts are never
 * more than the whole, so an offcut that comes back never carries more than its cloth cost.
 */
public final class KeptOffcuts {

    private KeptOffcuts() {}

    /**
     * Cloth that was cut: a length of a roll, or offcuts of one size.
     *
     * @param key the movement with which it left the shelf
     * @param extent its own usable width and the length that left, or the offcut's size
     * @param count how many offcuts; 1 for a length of a roll
     * @param selvage the woven edge on each side beyond the usable width; zero where it isn't known
     */
    public record Cut(String key, Extent extent, long count, Length selvage) {

        private Area area() {
            return extent.area().times(count);
        }

        /** With its edges: pieces may lie over them. */
        private Area all() {
            return Area.of(extent.width().plus(selvage.times(2)), extent.height())
                    .times(count);
        }

        private boolean holds(Extent piece) {
            Length wide = extent.width().plus(selvage.times(2));
            return fits(piece, wide) || fits(piece.turned(), wide);
        }

        private boolean fits(Extent piece, Length wide) {
            return piece.width().compareTo(wide) <= 0 && piece.height().compareTo(extent.height()) <= 0;
        }
    }

    /** Offcuts of one size that are kept. */
    public record Kept(Extent extent, long count) {}

    /**
     * Offcuts of one size that are left of one cloth.
     *
     * @param kept which of those that are kept, from 0
     * @param share of that cloth's area, all of them together
     */
    public record Source(int kept, String from, long count, BigFraction share) {}

    /** More is to be kept than can be left. */
    public static final class TooMuchException extends Exception {

        private final int kept;

        private TooMuchException(int kept) {
            super("more is kept than is left");
            this.kept = kept;
        }

        /** Which of those that were to be kept is too large or too many, from 0. */
        public int kept() {
            return kept;
        }
    }

    /**
     * Where each of them is left from: the largest first, each from the cloth that has most left.
     *
     * @param covered what the pieces that were cut cover
     * @throws TooMuchException if they don't fit into what the pieces leave
     */
    public static List<Source> of(List<Kept> kept, List<Cut> cut, Area covered) throws TooMuchException {
        BigInteger left = cut.stream()
                .map(one -> one.all().squareNanometres())
                .reduce(BigInteger.ZERO, BigInteger::add)
                .subtract(covered.squareNanometres());
        BigInteger[] room =
                cut.stream().map(one -> one.all().squareNanometres()).toArray(BigInteger[]::new);
        List<Integer> largestFirst = IntStream.range(0, kept.size())
                .boxed()
                .sorted(Comparator.comparing((Integer i) -> kept.get(i).extent().area())
                        .reversed())
                .toList();
        List<Source> sources = new ArrayList<>();
        for (int which : largestFirst) {
            Kept one = kept.get(which);
            BigInteger each = one.extent().area().squareNanometres();
            left = left.subtract(each.multiply(BigInteger.valueOf(one.count())));
            if (left.signum() < 0) {
                throw new TooMuchException(which);
            }
            long open = one.count();
            while (open > 0) {
                int from = roomiest(one.extent(), each, cut, room);
                if (from < 0) {
                    throw new TooMuchException(which);
                }
                long part =
                        room[from].divide(each).min(BigInteger.valueOf(open)).longValueExact();
                BigInteger area = each.multiply(BigInteger.valueOf(part));
                room[from] = room[from].subtract(area);
                open -= part;
                sources.add(new Source(
                        which,
                        cut.get(from).key(),
                        part,
                        BigFraction.of(area, cut.get(from).area().squareNanometres())));
            }
        }
        return sources;
    }

    /** The cloth with most room for one such offcut, or -1. */
    private static int roomiest(Extent extent, BigInteger each, List<Cut> cut, BigInteger[] room) {
        return IntStream.range(0, cut.size())
                .filter(i -> cut.get(i).holds(extent) && room[i].compareTo(each) >= 0)
                .boxed()
                .max(Comparator.comparing(i -> room[i]))
                .orElse(-1);
    }
}
