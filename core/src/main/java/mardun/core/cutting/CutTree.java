package mardun.core.cutting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;

/**
 * A rectangle of cloth and how it comes apart: by cuts from edge to edge, across it or along it, into smaller ones, until
 * each is a piece or a rest.
 *
 * @param x from the cloth's left edge
 * @param y from the cloth's beginning
 * @param piece what lies here, where it is a single piece
 * @param across its cuts run across the cloth; meaningless without parts
 * @param parts from below, or from the left; none for a piece and for a rest
 */
public record CutTree(
        Length x, Length y, Length width, Length height, Optional<Placed> piece, boolean across, List<CutTree> parts) {

    /** As far as a ruler reaches: 24 in. */
    private static final Length RULER = Length.of(24, LengthUnit.INCH);

    public CutTree {
        parts = List.copyOf(parts);
    }

    /**
     * How a cloth comes apart: cuts across it first, wherever one goes from edge to edge. What is cut off a bolt is one strip
     * at least.
     *
     * @throws IllegalArgumentException if it can't be cut so
     */
    public static CutTree of(ClothLayout cloth) {
        CutTree tree = together(tree(Length.ZERO, Length.ZERO, cloth.width(), cloth.length(), cloth.pieces(), true));
        boolean isOneStrip = cloth.isBolt() && (!tree.across() || tree.parts().isEmpty());
        return isOneStrip
                ? new CutTree(tree.x(), tree.y(), tree.width(), tree.height(), Optional.empty(), true, List.of(tree))
                : tree;
    }

    public Extent extent() {
        return new Extent(width, height);
    }

    public boolean isRest() {
        return piece.isEmpty() && parts.isEmpty();
    }

    /** All rests, wherever they are. */
    public Stream<CutTree> rests() {
        return isRest() ? Stream.of(this) : parts.stream().flatMap(CutTree::rests);
    }

    /** All pieces, wherever they are. */
    public Stream<Placed> pieces() {
        return Stream.concat(piece.stream(), parts.stream().flatMap(CutTree::pieces));
    }

    /** How many cuts take it apart; equal parts beside each other are cut together. */
    int cuts() {
        int cuts = Math.max(0, parts.size() - 1);
        CutTree before = null;
        for (CutTree part : parts) {
            cuts += before != null && part.isLike(before) ? 0 : part.cuts();
            before = part;
        }
        return cuts;
    }

    /** Whether it is cut in just the same way, wherever it lies. */
    boolean isLike(CutTree other) {
        boolean same = width.equals(other.width)
                && height.equals(other.height)
                && across == other.across
                && parts.size() == other.parts.size()
                && piece.map(Placed::key).equals(other.piece.map(Placed::key))
                && piece.map(Placed::turned).equals(other.piece.map(Placed::turned))
                && piece.map(Placed::paired).equals(other.piece.map(Placed::paired));
        for (int i = 0; same && i < parts.size(); i++) {
            same = parts.get(i).isLike(other.parts.get(i));
        }
        return same;
    }

    private static CutTree tree(
            Length x, Length y, Length width, Length height, List<Placed> pieces, boolean acrossFirst) {
        if (pieces.isEmpty()) {
            return new CutTree(x, y, width, height, Optional.empty(), true, List.of());
        }
        if (pieces.size() == 1 && fills(pieces.get(0), width, height)) {
            return new CutTree(x, y, width, height, Optional.of(pieces.get(0)), true, List.of());
        }
        CutTree first = cut(x, y, width, height, pieces, acrossFirst);
        CutTree tree = first.parts().size() > 1 ? first : cut(x, y, width, height, pieces, !acrossFirst);
        if (tree.parts().size() <= 1) {
            throw new IllegalArgumentException("no cut goes from edge to edge between " + pieces.size() + " pieces");
        }
        return tree;
    }

    /**
     * Equal strips that leave more at their side than they are high are cut off as one, as far as a ruler reaches, so that
     * what they leave stays in one piece.
     */
    private static CutTree together(CutTree tree) {
        if (!tree.across()) {
            return tree;
        }
        List<CutTree> parts = new ArrayList<>();
        int i = 0;
        while (i < tree.parts().size()) {
            CutTree first = tree.parts().get(i);
            int end = i + 1;
            Length height = first.height();
            while (leavesMuch(first)
                    && end < tree.parts().size()
                    && tree.parts().get(end).isLike(first)
                    && height.plus(first.height()).compareTo(RULER) <= 0) {
                height = height.plus(first.height());
                end++;
            }
            parts.add(end - i == 1 ? first : joined(tree.parts().subList(i, end), height));
            i = end;
        }
        return new CutTree(tree.x(), tree.y(), tree.width(), tree.height(), tree.piece(), true, parts);
    }

    private static boolean leavesMuch(CutTree strip) {
        CutTree last = strip.parts().isEmpty()
                ? strip
                : strip.parts().get(strip.parts().size() - 1);
        return !strip.across() && last.isRest() && last.width().compareTo(strip.height()) >= 0;
    }

    private static CutTree joined(List<CutTree> strips, Length height) {
        CutTree first = strips.get(0);
        CutTree rest = first.parts().get(first.parts().size() - 1);
        Length used = rest.x().minus(first.x());
        List<CutTree> rows = strips.stream()
                .map(strip -> strip.parts().size() == 2
                        ? strip.parts().get(0)
                        : new CutTree(
                                strip.x(),
                                strip.y(),
                                used,
                                strip.height(),
                                Optional.empty(),
                                false,
                                strip.parts().subList(0, strip.parts().size() - 1)))
                .toList();
        CutTree block = new CutTree(first.x(), first.y(), used, height, Optional.empty(), true, rows);
        CutTree wide = new CutTree(rest.x(), first.y(), rest.width(), height, Optional.empty(), true, List.of());
        return new CutTree(first.x(), first.y(), first.width(), height, Optional.empty(), false, List.of(block, wide));
    }

    private static boolean fills(Placed piece, Length width, Length height) {
        return piece.width().equals(width) && piece.height().equals(height);
    }

    private static CutTree cut(Length x, Length y, Length width, Length height, List<Placed> pieces, boolean across) {
        Function<Placed, Length> from = across ? Placed::y : Placed::x;
        Function<Placed, Length> to = across ? Placed::top : Placed::right;
        List<Placed> sorted = new ArrayList<>(pieces);
        sorted.sort(Comparator.comparing(from));
        Length begin = across ? y : x;
        Length end = begin.plus(across ? height : width);
        List<CutTree> parts = new ArrayList<>();
        int i = 0;
        while (i < sorted.size()) {
            Length start = from.apply(sorted.get(i));
            Length stop = to.apply(sorted.get(i));
            List<Placed> together = new ArrayList<>();
            while (i < sorted.size()
                    && (together.isEmpty() || from.apply(sorted.get(i)).compareTo(stop) < 0)) {
                stop = stop.max(to.apply(sorted.get(i)));
                together.add(sorted.get(i++));
            }
            if (start.isLongerThan(begin)) {
                parts.add(part(x, y, width, height, across, begin, start, List.of()));
            }
            boolean isAll = start.equals(across ? y : x) && stop.equals(end);
            if (isAll) {
                return new CutTree(x, y, width, height, Optional.empty(), across, List.of());
            }
            parts.add(part(x, y, width, height, across, start, stop, together));
            begin = stop;
        }
        if (end.isLongerThan(begin)) {
            parts.add(part(x, y, width, height, across, begin, end, List.of()));
        }
        return new CutTree(x, y, width, height, Optional.empty(), across, parts);
    }

    private static CutTree part(
            Length x,
            Length y,
            Length width,
            Length height,
            boolean across,
            Length from,
            Length to,
            List<Placed> pieces) {
        return across
                ? tree(x, from, width, to.minus(from), pieces, false)
                : tree(from, y, to.minus(from), height, pieces, true);
    }
}
