package mardun.core.cutting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mardun.core.material.ClothPiece;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;

/**
 * Offcuts and precuts: used before cutting into a bolt, and kept when what is left is large enough. Pieces are laid on
 * them in strips, the tallest first, as they would be cut with ruler and rotary cutter.
 */
public final class Offcuts {

    private static final int MOST_UNITS = 5000;

    private Offcuts() {}

    /**
     * What is cut from offcuts or precuts of one size.
     *
     * @param key their lot
     * @param count how many of them are cut into
     * @param pieces how many pieces they give of each kind
     */
    public record Use(String key, long count, Map<PieceKey, Long> pieces) {}

    /** Which offcuts to use, and which pieces have to come from the bolt. */
    public record Plan(List<Use> uses, List<CutPiece> rest) {}

    /** A rectangle that is left when cloth was cut, so many times. */
    public record Left(Extent extent, long count) {}

    /** Cuts as many of the pieces as can be from the offcuts, in the order given; each one is filled before the next. */
    public static Plan first(List<CutPiece> pieces, List<ClothPiece> offcuts) {
        List<CutPiece> rest = pieces;
        List<Use> uses = new ArrayList<>();
        for (ClothPiece offcut : offcuts) {
            long used = 0;
            Map<PieceKey, Long> given = new LinkedHashMap<>();
            while (used < offcut.count()) {
                Map<PieceKey, Long> filled = fill(offcut.extent(), rest);
                if (filled.isEmpty()) {
                    break;
                }
                filled.forEach((key, count) -> given.merge(key, count, Long::sum));
                rest = without(rest, filled);
                used++;
            }
            if (used > 0) {
                uses.add(new Use(offcut.key(), used, given));
            }
        }
        return new Plan(List.copyOf(uses), rest);
    }

    /** How many pieces of each kind one rectangle gives, at most as many as are wanted. */
    public static Map<PieceKey, Long> fill(Extent rectangle, List<CutPiece> wanted) {
        Map<PieceKey, Long> tall = fill(rectangle, wanted, false);
        Map<PieceKey, Long> flat = fill(rectangle, wanted, true);
        return area(flat, wanted) > area(tall, wanted) ? flat : tall;
    }

    /** How many units one rectangle gives all pieces for; {@code pieces} are those of one unit. */
    public static int units(Extent rectangle, List<CutPiece> pieces) {
        int units = 0;
        while (units < MOST_UNITS) {
            int next = units + 1;
            List<CutPiece> wanted = pieces.stream()
                    .map(piece -> piece.times(Math.multiplyExact(piece.count(), (long) next)))
                    .toList();
            if (!without(wanted, fill(rectangle, wanted)).isEmpty()) {
                break;
            }
            units = next;
        }
        return units;
    }

    /** Whether a rectangle is as large as the smallest that the maker keeps, either way round. */
    public static boolean isWorthKeeping(Extent rectangle, Length shortSide, Length longSide) {
        Length less = rectangle.width().compareTo(rectangle.height()) <= 0 ? rectangle.width() : rectangle.height();
        Length more = rectangle.width().max(rectangle.height());
        return less.compareTo(shortSide) >= 0 && more.compareTo(longSide) >= 0;
    }

    /** The rectangles at the ends of the strips: what the full ones leave at the side, and what the last one leaves. */
    public static List<Left> left(ClothNeed need, ShelfCloth cloth) {
        Map<Extent, Long> left = new LinkedHashMap<>();
        for (ClothNeed.Strip strip : need.strips()) {
            Length wide = cloth.widthFor(strip.piece());
            Extent piece = strip.turned()
                    ? strip.piece().extent().turned()
                    : strip.piece().extent();
            long inTheLast = strip.piece().count() - (strip.rows() - 1) * strip.across();
            long full = inTheLast == strip.across() ? strip.rows() : strip.rows() - 1;
            add(left, wide.minus(piece.width().times(strip.across())), strip.height(), full);
            if (full < strip.rows()) {
                add(left, wide.minus(piece.width().times(inTheLast)), strip.height(), 1);
            }
        }
        return left.entrySet().stream()
                .map(entry -> new Left(entry.getKey(), entry.getValue()))
                .toList();
    }

    private static void add(Map<Extent, Long> left, Length width, Length height, long count) {
        if (width.isPositive() && count > 0) {
            left.merge(new Extent(width, height), count, Long::sum);
        }
    }

    private static Map<PieceKey, Long> fill(Extent rectangle, List<CutPiece> wanted, boolean flat) {
        List<CutPiece> pieces = wanted.stream()
                .map(piece -> laid(piece, rectangle, flat))
                .sorted(Comparator.comparing((CutPiece piece) -> piece.extent().height())
                        .reversed())
                .toList();
        long[] missing = pieces.stream().mapToLong(CutPiece::count).toArray();
        Map<PieceKey, Long> given = new LinkedHashMap<>();
        Length heightLeft = rectangle.height();
        for (int first = 0; first < pieces.size(); first++) {
            Extent tallest = pieces.get(first).extent();
            while (missing[first] > 0
                    && tallest.height().compareTo(heightLeft) <= 0
                    && tallest.width().compareTo(rectangle.width()) <= 0) {
                Length widthLeft = rectangle.width();
                for (int i = first; i < pieces.size(); i++) {
                    long count = Math.min(
                            missing[i], widthLeft.fits(pieces.get(i).extent().width()));
                    if (count > 0) {
                        missing[i] -= count;
                        widthLeft =
                                widthLeft.minus(pieces.get(i).extent().width().times(count));
                        given.merge(pieces.get(i).key(), count, Long::sum);
                    }
                }
                heightLeft = heightLeft.minus(tallest.height());
            }
        }
        return given;
    }

    /** A piece as it is laid: upright, or turned where it may be and that is wanted or the only way that fits. */
    private static CutPiece laid(CutPiece piece, Extent rectangle, boolean flat) {
        Extent upright = piece.extent();
        boolean lies = upright.width().compareTo(upright.height()) >= 0;
        boolean fitsUpright = fits(upright, rectangle);
        boolean fitsTurned = fits(upright.turned(), rectangle);
        boolean turn = piece.mayTurn() && fitsTurned && (!fitsUpright || lies != flat);
        return turn ? piece.lying() : piece;
    }

    static boolean fits(Extent piece, Extent rectangle) {
        return piece.width().compareTo(rectangle.width()) <= 0 && piece.height().compareTo(rectangle.height()) <= 0;
    }

    private static double area(Map<PieceKey, Long> given, List<CutPiece> pieces) {
        return pieces.stream()
                .mapToDouble(piece -> (double) piece.extent().width().nanometres()
                        * piece.extent().height().nanometres()
                        * given.getOrDefault(piece.key(), 0L))
                .sum();
    }

    private static List<CutPiece> without(List<CutPiece> pieces, Map<PieceKey, Long> given) {
        return pieces.stream()
                .map(piece -> piece.times(piece.count() - given.getOrDefault(piece.key(), 0L)))
                .filter(piece -> piece.count() > 0)
                .toList();
    }
}
