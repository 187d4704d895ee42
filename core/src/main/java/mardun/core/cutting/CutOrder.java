package mardun.core.cutting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;

/**
 * The cuts of one cloth in the order in which they are made: square the end, cut a strip, cut its pieces from it, and so on.
 * Equal strips that follow one another are one step, and are cut through as many layers as the cloth allows.
 */
public record CutOrder(List<Step> steps) {

    public CutOrder {
        steps = List.copyOf(steps);
    }

    /** What is done in a step. */
    public enum Kind {
        SQUARE,
        STRIP,
        AS_IT_IS
    }

    /**
     * A step.
     *
     * @param across the strip lies across the cloth; else along it
     * @param size what is cut off to square the end, or the height of the strip
     * @param times how many equal strips
     * @param pitch from the beginning of one strip to that of the next, where something is cut away between them; else empty
     * @param layers how many of them are cut into pieces at once
     * @param x where what is cut begins, from the left edge
     * @param y where it begins, from the squared end
     * @param extent what all its strips take of the cloth
     * @param parts what each strip is cut into
     * @param pieces all pieces of its strips, in the order of reading
     */
    public record Step(
            Kind kind,
            boolean across,
            Length size,
            int times,
            Optional<Length> pitch,
            int layers,
            Length x,
            Length y,
            Extent extent,
            List<Part> parts,
            List<Placed> pieces) {}

    /**
     * A part of a strip, so many times side by side.
     *
     * @param size to be measured for it
     * @param piece what it is; empty where it is cut again, or is a rest
     * @param parts what it is cut into again
     */
    public record Part(int times, Length size, Optional<Placed> piece, List<Part> parts) {

        public boolean isRest() {
            return piece.isEmpty() && parts.isEmpty();
        }
    }

    /**
     * The steps for a cloth.
     *
     * @param layers how many layers are cut at once
     * @param squaring what is cut off to square the end of a bolt; zero for none
     */
    public static CutOrder of(ClothLayout cloth, int layers, Length squaring) {
        List<Step> steps = new ArrayList<>();
        square(cloth, squaring).ifPresent(steps::add);
        CutTree tree = CutTree.of(cloth);
        if (tree.piece().isPresent()) {
            steps.add(step(Kind.AS_IT_IS, true, List.of(tree), 1));
        }
        for (List<CutTree> run : stripRuns(tree)) {
            steps.add(step(Kind.STRIP, tree.across(), run, Math.min(layers, run.size())));
        }
        return new CutOrder(steps);
    }

    /**
     * The step that squares the end of a cloth; none where nothing is cut off, or it is square already.
     *
     * @param squaring what is cut off to square the end of a bolt; zero for none
     */
    public static Optional<Step> square(ClothLayout cloth, Length squaring) {
        return !cloth.isBolt() || !squaring.isPositive()
                ? Optional.empty()
                : Optional.of(new Step(
                        Kind.SQUARE,
                        true,
                        squaring,
                        1,
                        Optional.empty(),
                        1,
                        Length.ZERO,
                        Length.ZERO,
                        new Extent(cloth.width(), Length.ZERO),
                        List.of(),
                        List.of()));
    }

    private static Step step(Kind kind, boolean across, List<CutTree> run, int layers) {
        CutTree first = run.get(0);
        CutTree last = run.get(run.size() - 1);
        Extent extent = across
                ? new Extent(first.width(), last.y().plus(last.height()).minus(first.y()))
                : new Extent(last.x().plus(last.width()).minus(first.x()), first.height());
        List<Part> parts = first.piece().isPresent()
                ? List.of(new Part(1, across ? first.width() : first.height(), first.piece(), List.of()))
                : parts(first);
        return new Step(
                kind,
                across,
                across ? first.height() : first.width(),
                run.size(),
                pitch(across, run),
                layers,
                first.x(),
                first.y(),
                extent,
                parts,
                run.stream()
                        .flatMap(CutTree::pieces)
                        .sorted(Comparator.comparing(Placed::y).thenComparing(Placed::x))
                        .toList());
    }

    private static Optional<Length> pitch(boolean across, List<CutTree> run) {
        if (run.size() < 2) {
            return Optional.empty();
        }
        Length height = across ? run.get(0).height() : run.get(0).width();
        return Optional.of(apart(across, run.get(0), run.get(1))).filter(pitch -> pitch.isLongerThan(height));
    }

    private static Length apart(boolean across, CutTree strip, CutTree next) {
        return across ? next.y().minus(strip.y()) : next.x().minus(strip.x());
    }

    /** Equal strips that follow one another, also with as much cut away between each and the next, as a print may ask for. */
    private static List<List<CutTree>> stripRuns(CutTree tree) {
        List<List<CutTree>> runs = new ArrayList<>();
        for (CutTree strip :
                tree.parts().stream().filter(part -> !part.isRest()).toList()) {
            List<CutTree> run = runs.isEmpty() ? List.of() : runs.get(runs.size() - 1);
            boolean goesOn = !run.isEmpty() && strip.isLike(run.get(0)) && hasPitch(tree.across(), run, strip);
            if (!goesOn) {
                runs.add(new ArrayList<>());
            }
            runs.get(runs.size() - 1).add(strip);
        }
        return runs;
    }

    private static boolean hasPitch(boolean across, List<CutTree> run, CutTree next) {
        return run.size() == 1
                || apart(across, run.get(run.size() - 1), next).equals(apart(across, run.get(0), run.get(1)));
    }

    private static List<Part> parts(CutTree tree) {
        List<Part> parts = new ArrayList<>();
        for (List<CutTree> run : runs(tree.parts())) {
            CutTree first = run.get(0);
            Length size = tree.across() ? first.height() : first.width();
            parts.add(new Part(run.size(), size, first.piece(), parts(first)));
        }
        return parts;
    }

    /** Equal parts that follow one another. */
    private static List<List<CutTree>> runs(List<CutTree> parts) {
        List<List<CutTree>> runs = new ArrayList<>();
        CutTree before = null;
        for (CutTree part : parts) {
            if (before == null || !part.isLike(before)) {
                runs.add(new ArrayList<>());
            }
            runs.get(runs.size() - 1).add(part);
            before = part;
        }
        return runs;
    }
}
