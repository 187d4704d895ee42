package mardun.core.cutting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.material.ClothPiece;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;

/**
 * Checks a layout without knowing how it was found: every piece lies there as often as it is wanted, in its size, turned only
 * where it may be, on the cloth, over no other one, and all of them come apart by cuts from edge to edge.
 */
public final class LayoutCheck {

    private LayoutCheck() {}

    /** What can be wrong with a layout. */
    public enum Flaw {
        UNKNOWN_CLOTH,
        UNKNOWN_PIECE,
        WRONG_COUNT,
        WRONG_SIZE,
        TURNED,
        OUT_OF_REPEAT,
        IN_THE_SELVAGE,
        OFF_THE_CLOTH,
        OVERLAP,
        NO_EDGE_TO_EDGE_CUT
    }

    /** The flaws of a layout; none if it can be cut as it stands. */
    public static List<Flaw> flaws(CuttingLayout layout, CuttingJob job) {
        return flaws(layout, job.pieces(), job.cloth(), job.terms().squaring());
    }

    /**
     * The same, whatever cutting costs.
     *
     * @param wanted the pieces that it has to give
     * @param squaring what is cut off the end of each roll to square it
     */
    public static List<Flaw> flaws(CuttingLayout layout, List<CutPiece> wanted, ShelfCloth from, Length squaring) {
        Set<Flaw> flaws = EnumSet.noneOf(Flaw.class);
        Map<PieceKey, CutPiece> kinds = new HashMap<>();
        Map<PieceKey, Long> missing = new HashMap<>();
        wanted.forEach(piece -> {
            kinds.put(piece.key(), piece);
            missing.put(piece.key(), piece.count());
        });
        Map<String, Long> there = new HashMap<>();
        from.sheets().forEach(sheet -> there.merge(sheet.key(), sheet.count(), Long::sum));
        Set<String> rolls = new HashSet<>();
        for (ClothLayout cloth : layout.cloths()) {
            boolean isKnown = cloth.isBolt()
                    ? rolls.add(cloth.lot()) && isOfItsRoll(cloth, from, squaring)
                    : there.merge(cloth.lot(), -1L, Long::sum) >= 0 && hasItsSize(cloth, from.sheets());
            if (!isKnown) {
                flaws.add(Flaw.UNKNOWN_CLOTH);
            }
            if (!meetsPrint(cloth, kinds, from)) {
                flaws.add(Flaw.OUT_OF_REPEAT);
            }
            for (Placed one : cloth.pieces()) {
                CutPiece kind = kinds.get(one.key());
                if (kind == null) {
                    flaws.add(Flaw.UNKNOWN_PIECE);
                } else {
                    missing.merge(one.key(), -one.count(), Long::sum);
                    flaws.addAll(flaws(one, kind));
                }
                if (cloth.isBolt() && !from.isBetweenEdges(one)) {
                    flaws.add(Flaw.IN_THE_SELVAGE);
                }
                if (!isInside(one, cloth)) {
                    flaws.add(Flaw.OFF_THE_CLOTH);
                }
            }
            if (overlaps(cloth.pieces())) {
                flaws.add(Flaw.OVERLAP);
            } else if (!comesApart(cloth.pieces())) {
                flaws.add(Flaw.NO_EDGE_TO_EDGE_CUT);
            }
        }
        if (missing.values().stream().anyMatch(count -> count != 0)) {
            flaws.add(Flaw.WRONG_COUNT);
        }
        return List.copyOf(flaws);
    }

    /** It is as wide as the rolls are; of one that is there it takes no more than there is. */
    private static boolean isOfItsRoll(ClothLayout cloth, ShelfCloth from, Length squaring) {
        Length taken = cloth.length().plus(squaring);
        return !from.bySheet()
                && cloth.width().equals(from.width())
                && (cloth.isOfAnyRoll()
                        || from.rolls().stream()
                                .anyMatch(
                                        roll -> roll.key().equals(cloth.lot()) && taken.compareTo(roll.length()) <= 0));
    }

    /** Where the print comes again, the pieces that meet it lie on a roll, where the print is as each of them wants it. */
    private static boolean meetsPrint(ClothLayout cloth, Map<PieceKey, CutPiece> kinds, ShelfCloth from) {
        return from.repeat().isEmpty()
                || cloth.pieces().stream()
                        .filter(one -> kinds.containsKey(one.key())
                                && kinds.get(one.key()).meetsPrint())
                        .allMatch(one ->
                                cloth.isBolt() && !one.turned() && from.isWhereThePrintAsks(one, kinds.get(one.key())));
    }

    private static boolean hasItsSize(ClothLayout cloth, List<ClothPiece> sheets) {
        Extent size = new Extent(cloth.width(), cloth.length());
        return sheets.stream()
                .anyMatch(sheet ->
                        sheet.key().equals(cloth.lot()) && sheet.extent().equals(size));
    }

    private static List<Flaw> flaws(Placed one, CutPiece kind) {
        List<Flaw> flaws = new ArrayList<>();
        Optional<Extent> upright = one.paired() ? kind.pair().map(PiecePair::extent) : Optional.of(kind.extent());
        Extent lies = new Extent(one.width(), one.height());
        boolean isItsSize = upright.filter(its -> lies.equals(one.turned() ? its.turned() : its))
                .isPresent();
        if (!isItsSize) {
            flaws.add(Flaw.WRONG_SIZE);
        }
        if (one.turned() && !kind.mayTurn()) {
            flaws.add(Flaw.TURNED);
        }
        return flaws;
    }

    private static boolean isInside(Placed one, ClothLayout cloth) {
        return one.x().nanometres() >= 0
                && one.y().nanometres() >= 0
                && one.right().compareTo(cloth.width()) <= 0
                && one.top().compareTo(cloth.length()) <= 0;
    }

    private static boolean overlaps(List<Placed> pieces) {
        List<Placed> byBottom = new ArrayList<>(pieces);
        byBottom.sort(Comparator.comparing(Placed::y));
        List<Placed> open = new ArrayList<>();
        for (Placed one : byBottom) {
            open.removeIf(other -> other.top().compareTo(one.y()) <= 0);
            for (Placed other : open) {
                boolean apart =
                        other.right().compareTo(one.x()) <= 0 || one.right().compareTo(other.x()) <= 0;
                if (!apart) {
                    return true;
                }
            }
            open.add(one);
        }
        return false;
    }

    /** Cut wherever a cut goes from edge to edge, until single pieces are left; the order of the cuts doesn't matter. */
    private static boolean comesApart(List<Placed> pieces) {
        if (pieces.size() <= 1) {
            return true;
        }
        List<List<Placed>> parts = cut(pieces, Placed::x, Placed::right);
        if (parts.size() == 1) {
            parts = cut(pieces, Placed::y, Placed::top);
        }
        return parts.size() > 1 && parts.stream().allMatch(LayoutCheck::comesApart);
    }

    private static List<List<Placed>> cut(
            List<Placed> pieces, Function<Placed, Length> from, Function<Placed, Length> to) {
        List<Placed> sorted = new ArrayList<>(pieces);
        sorted.sort(Comparator.comparing(from));
        List<List<Placed>> parts = new ArrayList<>();
        Length end = null;
        for (Placed one : sorted) {
            if (end == null || from.apply(one).compareTo(end) >= 0) {
                parts.add(new ArrayList<>());
            }
            parts.get(parts.size() - 1).add(one);
            end = end == null ? to.apply(one) : end.max(to.apply(one));
        }
        return parts;
    }
}
