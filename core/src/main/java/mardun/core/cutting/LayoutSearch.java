package mardun.core.cutting;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BooleanSupplier;
import mardun.core.measure.Length;
import mardun.core.working.Sentence;
import mardun.core.working.Value;

/**
 * Lays pieces on a bolt of cloth so that it takes as little length as can be found: strips across the width, columns from
 * the strips, pieces from the columns, all edge to edge. The same pieces, seed and number of rounds give the same layout.
 */
public final class LayoutSearch {

    /** The cloth's width in at most so many steps: finer ones find hardly more and take much longer. */
    private static final long FINEST_GRID = 2000;

    private LayoutSearch() {}

    /**
     * The shortest layout found.
     *
     * @param width usable width of the cloth
     * @param pieces at least one
     * @param spent asked again and again whether to stop; the first layout is found before it counts
     * @throws CannotBeCutException if a piece is wider than the cloth, turned where it may be
     */
    public static ClothLayout search(Length width, List<CutPiece> pieces, BooleanSupplier spent, long seed) {
        long step = step(width, pieces);
        List<StripProblem.Kind> kinds = pieces.stream()
                .map(piece -> new StripProblem.Kind(
                        steps(piece.extent().width(), step),
                        steps(piece.extent().height(), step),
                        Math.toIntExact(piece.count()),
                        piece.mayTurn()))
                .toList();
        StripProblem problem = StripProblem.of(Math.toIntExact(width.nanometres() / step), kinds);
        refuseTooWide(width, pieces, problem);
        StripSearch.Solution solution = new StripSearch(problem, seed).solve(spent);
        return placed(width, pieces, problem, solution);
    }

    /** The largest step in which all pieces are whole, or a coarser one on which they are rounded up. */
    private static long step(Length width, List<CutPiece> pieces) {
        BigInteger common = BigInteger.ZERO;
        for (CutPiece piece : pieces) {
            common = common.gcd(BigInteger.valueOf(piece.extent().width().nanometres()))
                    .gcd(BigInteger.valueOf(piece.extent().height().nanometres()));
        }
        return Math.max(common.longValueExact(), Math.max(1, width.nanometres() / FINEST_GRID));
    }

    private static int steps(Length length, long step) {
        return Math.toIntExact((length.nanometres() + step - 1) / step);
    }

    private static void refuseTooWide(Length width, List<CutPiece> pieces, StripProblem problem) {
        for (int kind = 0; kind < pieces.size(); kind++) {
            if (!problem.fits(kind)) {
                CutPiece piece = pieces.get(kind);
                throw new CannotBeCutException(Sentence.of(
                        piece.name() + " is {0} wide, and the cloth only {1}.",
                        Value.of(piece.extent().width()),
                        Value.of(width)));
            }
        }
    }

    /** The pieces in their true sizes: what was rounded up for the grid closes up again. */
    private static ClothLayout placed(
            Length width, List<CutPiece> pieces, StripProblem problem, StripSearch.Solution solution) {
        List<ClothLayout.Placed> placed = new ArrayList<>();
        Length y = Length.ZERO;
        for (StripPattern strip : solution.strips()) {
            Length x = Length.ZERO;
            Length highest = Length.ZERO;
            for (StripPattern.Column column : strip.columns()) {
                Length up = y;
                Length widest = Length.ZERO;
                for (int item : column.items()) {
                    CutPiece piece = pieces.get(problem.kindOf()[item]);
                    boolean turned = problem.turned()[item];
                    Length wide =
                            turned ? piece.extent().height() : piece.extent().width();
                    Length high =
                            turned ? piece.extent().width() : piece.extent().height();
                    placed.add(new ClothLayout.Placed(piece.letter(), x, up, wide, high, turned));
                    up = up.plus(high);
                    widest = widest.max(wide);
                }
                x = x.plus(widest);
                highest = highest.max(up);
            }
            y = highest;
        }
        return new ClothLayout(width, y, leastLength(width, pieces), placed);
    }

    private static Length leastLength(Length width, List<CutPiece> pieces) {
        BigInteger area = BigInteger.ZERO;
        for (CutPiece piece : pieces) {
            area = area.add(BigInteger.valueOf(piece.extent().width().nanometres())
                    .multiply(BigInteger.valueOf(piece.extent().height().nanometres()))
                    .multiply(BigInteger.valueOf(piece.count())));
        }
        BigInteger wide = BigInteger.valueOf(width.nanometres());
        return new Length(area.add(wide).subtract(BigInteger.ONE).divide(wide).longValueExact());
    }
}
