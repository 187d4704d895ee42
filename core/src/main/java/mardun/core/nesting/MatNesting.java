package mardun.core.nesting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;

/**
 * Lays shapes on as few mats as it finds, by their true outlines. Each mat is filled in many ways, the largest shapes first, each where it
 * reaches least far down or least far across; the way that covers most of it is taken, and once more as long as what is left allows it. What
 * lies on a mat keeps apart by a gap, measured on a raster that never takes less than the shape. A shape that is larger than the mat isn't
 * laid. The same shapes are always laid in the same way.
 */
public final class MatNesting {

    /** How wide the squares of the raster are, in millimetres. */
    static final double CELL = 1;

    /** In so many ways a mat is filled at random, if the looking for places doesn't take too long before. */
    private static final int WAYS = 60;

    /** So many places are looked at for a mat. */
    private static final long MOST_LOOKS = 6_000_000;

    private static final long SEED = 20;

    private final MatSize mat;
    private final double rim;
    private final Map<Turned, Cells> cells = new HashMap<>();

    private MatNesting(MatSize mat, double gap) {
        this.mat = mat;
        this.rim = gap / 2;
    }

    private record Turned(String key, int quarters) {}

    /**
     * Shapes as they lie on mats.
     *
     * @param tooLarge those that no mat of the size holds, in any of their turns
     */
    public record Nested(List<NestedMat> mats, List<MatShape> tooLarge) {}

    /**
     * Lays shapes out.
     *
     * @param gap how far apart they lie at least, in millimetres
     */
    public static Nested of(List<MatShape> shapes, MatSize mat, double gap) {
        return new MatNesting(mat, gap).nested(shapes);
    }

    private Nested nested(List<MatShape> shapes) {
        List<MatShape> tooLarge = new ArrayList<>();
        List<MatShape> byArea = new ArrayList<>();
        for (MatShape shape : shapes) {
            (fits(shape) ? byArea : tooLarge).add(shape);
        }
        byArea.sort(
                Comparator.comparingDouble((MatShape shape) -> -shape.contour().area())
                        .thenComparing(MatShape::key));
        Map<String, Integer> left = new HashMap<>();
        byArea.forEach(shape -> left.put(shape.key(), shape.count()));
        List<NestedMat> mats = new ArrayList<>();
        while (left.values().stream().anyMatch(count -> count > 0)) {
            NestedMat best = best(byArea, left);
            Map<String, Integer> taken = new HashMap<>();
            best.laid().forEach(one -> taken.merge(one.shape().key(), 1, Integer::sum));
            do {
                mats.add(best);
                taken.forEach((key, count) -> left.merge(key, -count, Integer::sum));
            } while (taken.entrySet().stream().allMatch(one -> left.get(one.getKey()) >= one.getValue()));
        }
        return new Nested(mats, tooLarge);
    }

    private boolean fits(MatShape shape) {
        return IntStream.of(shape.turns()).anyMatch(quarters -> fits(shape, quarters));
    }

    private boolean fits(MatShape shape, int quarters) {
        Cells its = cells(shape, quarters);
        return its.width() <= across() && its.height() <= down();
    }

    private int across() {
        return (int) Math.floor((mat.width() + 2 * rim) / CELL);
    }

    private int down() {
        return (int) Math.floor((mat.height() + 2 * rim) / CELL);
    }

    private Cells cells(MatShape shape, int quarters) {
        return cells.computeIfAbsent(
                new Turned(shape.key(), quarters), k -> Cells.of(shape.contour().turned(quarters), CELL, rim));
    }

    /** The mat that covers most of all ways in which one is filled. */
    private NestedMat best(List<MatShape> shapes, Map<String, Integer> left) {
        Random random = new Random(SEED);
        NestedMat best = null;
        long looks = 0;
        for (int way = 0; way < WAYS && (best == null || looks < MOST_LOOKS); way++) {
            Filling filling = new Filling(turning(way, random), way % 2 == 1);
            NestedMat filled = filling.filled(shapes, left);
            looks += filling.looks;
            if (best == null || filled.covered() > best.covered() + 1e-9) {
                best = filled;
            }
        }
        return best;
    }

    /** In which turns a shape may lie: first in any, then only along or only across, then in one that chance chooses. */
    private static UnaryOperator<int[]> turning(int way, Random random) {
        return switch (way / 2) {
            case 0 -> turns -> turns;
            case 1 -> turns -> only(turns, 0);
            case 2 -> turns -> only(turns, 1);
            default -> turns -> new int[] {turns[random.nextInt(turns.length)]};
        };
    }

    private static int[] only(int[] turns, int odd) {
        int[] some = IntStream.of(turns).filter(turn -> turn % 2 == odd).toArray();
        return some.length == 0 ? turns : some;
    }

    /** A place for a shape, in squares. */
    private record Place(int quarters, int left, int top, int right, int bottom) {

        boolean isBetterThan(Place other, boolean byColumns) {
            if (byColumns) {
                return right != other.right ? right < other.right : top < other.top;
            }
            return bottom != other.bottom ? bottom < other.bottom : left < other.left;
        }
    }

    /** One mat, as it fills. */
    private final class Filling {

        private final UnaryOperator<int[]> turning;
        private final boolean byColumns;

        /** The mat with the rim of what lies at its edges, which may reach over. */
        private final Cells taken = new Cells(across(), down());

        /** Where it was looked for in vain before there is no room later either: a mat only fills. */
        private final Map<Turned, int[]> from = new HashMap<>();

        private final List<NestedMat.Laid> laid = new ArrayList<>();
        private long looks;

        /**
         * A mat that isn't begun.
         *
         * @param byColumns a shape is laid where it reaches least far across, and not where it reaches least far down
         */
        Filling(UnaryOperator<int[]> turning, boolean byColumns) {
            this.turning = turning;
            this.byColumns = byColumns;
        }

        NestedMat filled(List<MatShape> shapes, Map<String, Integer> left) {
            for (MatShape shape : shapes) {
                for (int i = 0; i < left.get(shape.key()); i++) {
                    Place place = place(shape, turning.apply(shape.turns()));
                    place = place == null ? place(shape, shape.turns()) : place;
                    if (place == null) {
                        break;
                    }
                    lay(shape, place);
                }
            }
            return new NestedMat(mat, laid);
        }

        private Place place(MatShape shape, int[] turns) {
            Place best = null;
            for (int quarters : turns) {
                Place place = fits(shape, quarters) ? place(shape, quarters) : null;
                if (place != null && (best == null || place.isBetterThan(best, byColumns))) {
                    best = place;
                }
            }
            return best;
        }

        private Place place(MatShape shape, int quarters) {
            Cells its = cells(shape, quarters);
            int lastLeft = taken.width() - its.width();
            int lastTop = taken.height() - its.height();
            int outerLast = byColumns ? lastLeft : lastTop;
            int innerLast = byColumns ? lastTop : lastLeft;
            int[] begin = from.computeIfAbsent(new Turned(shape.key(), quarters), k -> new int[2]);
            for (int outer = begin[0]; outer <= outerLast; outer++) {
                for (int inner = outer == begin[0] ? begin[1] : 0; inner <= innerLast; inner++) {
                    looks++;
                    int left = byColumns ? outer : inner;
                    int top = byColumns ? inner : outer;
                    if (taken.isFree(its, left, top)) {
                        begin[0] = outer;
                        begin[1] = inner;
                        return new Place(quarters, left, top, left + its.width(), top + its.height());
                    }
                }
            }
            begin[0] = outerLast + 1;
            return null;
        }

        private void lay(MatShape shape, Place place) {
            taken.take(cells(shape, place.quarters()), place.left(), place.top());
            laid.add(new NestedMat.Laid(shape, place.quarters(), place.left() * CELL, place.top() * CELL));
        }
    }
}
